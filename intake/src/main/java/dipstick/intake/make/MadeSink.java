package dipstick.intake.make;

import dipstick.core.records.EventRecord;
import dipstick.core.records.PersonRecord;

/** Takes what is made of a file, row by row. */
public interface MadeSink {
    void person(PersonRecord person);

    void event(EventRecord event);

    void trouble(Trouble trouble);
}
