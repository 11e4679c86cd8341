package dipstick.intake.make;

import dipstick.core.records.EventRecord;
import dipstick.core.records.PersonRecord;

/** Takes what is made of a file, row by row. */
public interface MadeSink {
    void person(long line, PersonRecord person);

    void event(long line, EventRecord event);

    void trouble(Trouble trouble);
}
