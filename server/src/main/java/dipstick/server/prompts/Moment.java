package dipstick.server.prompts;

/** When somebody is told of a person on a list. */
public enum Moment {
    /** When a colleague opens the person in Dipstick. */
    OPENED,
    /** When the person has an appointment ahead. */
    COMING_IN,
    /** When a record system asks, since the person is opened or booked there. */
    RECORD_SYSTEM
}
