package dipstick.server.outreach.plan;

/** What is to be done next about somebody. */
public enum Step {
    /** Nothing. */
    NONE,
    CALL,
    LETTER,
    EMAIL,
    TEXT,
    /** See whether what was agreed is on record by now. */
    LOOK,
    /** Close, since nothing came of it. */
    CLOSE
}
