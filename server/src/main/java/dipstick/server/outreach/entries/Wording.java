package dipstick.server.outreach.entries;

import dipstick.core.wording.DayWords;
import dipstick.server.outreach.plan.ContactPlan;
import dipstick.server.outreach.plan.Step;

/** Steps in words, the same wherever they are told. */
public final class Wording {
    private Wording() {}

    public static String step(Step step) {
        return switch (step) {
            case NONE -> "";
            case CALL -> "Call";
            case LETTER -> "Send a letter";
            case EMAIL -> "Send an e-mail";
            case TEXT -> "Send a text";
            case LOOK -> "See whether it is on record";
            case CLOSE -> "Close: no response";
        };
    }

    public static String state(Entry.State state) {
        return switch (state) {
            case TO_CONTACT -> "to contact";
            case IN_PROGRESS -> "in progress";
            case DONE -> "done";
            case LEFT -> "left";
            case CLOSED -> "closed";
        };
    }

    public static String next(ContactPlan.Next next) {
        return step(next.step()) + " on " + DayWords.day(next.on());
    }
}
