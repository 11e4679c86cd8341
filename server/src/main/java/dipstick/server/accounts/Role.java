package dipstick.server.accounts;

/** What somebody may do; a person may have several. */
public enum Role {
    /** Brings records in, builds criteria sets, shares lists. */
    COORDINATOR,
    /** Works the lists. */
    CALLER,
    /** Sees people and excuses them. */
    CLINICIAN,
    /** Sees how lists stand, who works which, and who looked at what. */
    MANAGER,
    /** Keeps the accounts and the records, and reads no list. */
    ADMINISTRATOR
}
