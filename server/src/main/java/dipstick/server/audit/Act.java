package dipstick.server.audit;

/** What is written down in the audit log. */
public enum Act {
    SIGNED_IN,
    SIGN_IN_REFUSED,
    ACCOUNT_CREATED,
    PERSON_READ,
    PEOPLE_LISTED,
    LIST_READ,
    LIST_EXPORTED,
    RECORDS_BROUGHT_IN,
    CRITERIA_SAVED,
    CRITERIA_PUBLISHED,
    CRITERIA_RETIRED,
    CRITERIA_REMOVED,
    TERM_SET_SAVED,
    READING_TAKEN
}
