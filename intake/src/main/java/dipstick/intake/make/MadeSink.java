package dipstick.intake.make;

import dipstick.core.records.EventRecord;
import dipstick.core.records.PersonRecord;

/** Takes what is made of a file, row by row. */
public interface MadeSink {
    void person(PersonRecord person);

    void event(EventRecord event);

    void trouble(Trouble trouble);

    /** One more row of the file was read; what is made of it may come later. */
    default void row() {}

    /** The source of the file knows the person by another number, too. */
    default void alsoKnown(String person, String number) {}

    /** The source says that whoever had the other number is this person. */
    default void merged(String person, String number) {}
}
