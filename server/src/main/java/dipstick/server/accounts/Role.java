package dipstick.server.accounts;

/** What somebody may do. */
public enum Role {
    /** Brings records in, builds criteria sets, reads every list. */
    COORDINATOR,
    /** Reads lists and the people on them. */
    CALLER
}
