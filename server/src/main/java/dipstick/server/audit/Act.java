package dipstick.server.audit;

import java.util.EnumSet;
import java.util.Set;

/** What is written down in the audit log. */
public enum Act {
    SIGNED_IN,
    SIGN_IN_REFUSED,
    SIGNED_OUT,
    REFUSED,
    ACCOUNT_CREATED,
    ACCOUNT_CHANGED,
    GROUP_CHANGED,
    HANDED_OVER,
    SHARING_CHANGED,
    PERSON_READ,
    PEOPLE_LISTED,
    LIST_READ,
    LIST_EXPORTED,
    LETTER_PREVIEWED,
    RECORDS_BROUGHT_IN,
    CRITERIA_SAVED,
    CRITERIA_PUBLISHED,
    CRITERIA_RETIRED,
    CRITERIA_REMOVED,
    TERM_SET_SAVED,
    READING_TAKEN,
    LIST_CHANGED,
    LIST_WORKED,
    AUDIT_LOG_READ,
    BACKUP_TAKEN,
    CALENDAR_CHANGED,
    CALENDAR_READ;

    /** What concerns accounts and the house, and names nobody on record: all that an administrator is to see. */
    static final Set<Act> OF_THE_HOUSE = EnumSet.of(
            SIGNED_IN,
            SIGN_IN_REFUSED,
            SIGNED_OUT,
            REFUSED,
            ACCOUNT_CREATED,
            ACCOUNT_CHANGED,
            GROUP_CHANGED,
            HANDED_OVER,
            RECORDS_BROUGHT_IN,
            BACKUP_TAKEN,
            CALENDAR_CHANGED,
            CALENDAR_READ);
}
