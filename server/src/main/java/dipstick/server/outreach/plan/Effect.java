package dipstick.server.outreach.plan;

/** What an outcome of an attempt means for what comes next. */
public enum Effect {
    /** They were spoken with; the plan waits. */
    REACHED,
    /** They have an appointment; the plan waits. */
    BOOKED,
    /** They do not want to. */
    DECLINED,
    /** The plan goes on. */
    NOT_REACHED,
    /** The plan goes on, but not with a call. */
    WRONG_NUMBER,
    /** Something is on its way; the plan goes on. */
    SENT;

    /** Whether they have been spoken with, so that no other list need call too. */
    boolean reached() {
        return this == REACHED || this == BOOKED || this == DECLINED;
    }
}
