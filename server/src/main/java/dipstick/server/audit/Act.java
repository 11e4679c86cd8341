package dipstick.server.audit;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.Set;
import java.util.stream.Collectors;

/** What is written down in the audit log. */
public enum Act {
    SIGNED_IN(About.THE_HOUSE),
    SIGN_IN_REFUSED(About.THE_HOUSE),
    SIGNED_OUT(About.THE_HOUSE),
    REFUSED(About.THE_HOUSE),
    ACCOUNT_CREATED(About.THE_HOUSE),
    ACCOUNT_CHANGED(About.THE_HOUSE),
    GROUP_CHANGED(About.THE_HOUSE),
    HANDED_OVER(About.THE_HOUSE),
    SHARING_CHANGED(About.PEOPLE),
    PERSON_READ(About.PEOPLE),
    PERSON_REPORTED(About.PEOPLE),
    PERSON_ERASED(About.PEOPLE),
    PERSON_TOLD(About.PEOPLE),
    CARD_ANSWERED(About.PEOPLE),
    PERSON_LET_IN(About.PEOPLE),
    PEOPLE_COMPARED(About.PEOPLE),
    PEOPLE_JOINED(About.PEOPLE),
    PEOPLE_PARTED(About.PEOPLE),
    PEOPLE_TOLD_APART(About.PEOPLE),
    PEOPLE_LISTED(About.PEOPLE),
    LIST_READ(About.PEOPLE),
    LIST_EXPORTED(About.PEOPLE),
    LETTER_PREVIEWED(About.PEOPLE),
    RECORDS_BROUGHT_IN(About.THE_HOUSE),
    RECORDS_TAKEN_BACK(About.THE_HOUSE),
    INTAKE_SAVED(About.THE_HOUSE),
    RECORD_SYSTEM_CHANGED(About.THE_HOUSE),
    CRITERIA_SAVED(About.PEOPLE),
    CRITERIA_PUBLISHED(About.PEOPLE),
    CRITERIA_RETIRED(About.PEOPLE),
    CRITERIA_REMOVED(About.PEOPLE),
    CRITERIA_SENT(About.PEOPLE),
    REGION_ANSWER_CHANGED(About.PEOPLE),
    TERM_SET_SAVED(About.PEOPLE),
    ROSTER_SAVED(About.PEOPLE),
    READING_TAKEN(About.PEOPLE),
    LIST_CHANGED(About.PEOPLE),
    LIST_WORKED(About.PEOPLE),
    AUDIT_LOG_READ(About.PEOPLE),
    BACKUP_TAKEN(About.THE_HOUSE),
    CALENDAR_CHANGED(About.THE_HOUSE),
    CALENDAR_READ(About.THE_HOUSE);

    private enum About {
        /** Accounts and the house: it names nobody on record. */
        THE_HOUSE,
        PEOPLE
    }

    /** All that an administrator is to see. */
    static final Set<Act> OF_THE_HOUSE = Arrays.stream(values())
            .filter(act -> act.about == About.THE_HOUSE)
            .collect(Collectors.toCollection(() -> EnumSet.noneOf(Act.class)));

    private final About about;

    Act(About about) {
        this.about = about;
    }
}
