package dipstick.server.outreach.plan;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;

/**
 * Whom a list holds back, so that nobody is pestered. They stay visible, with the reason.
 *
 * @param appointmentDays somebody with an appointment within so many days; 0 to hold nobody back for one
 * @param reachedDays somebody who was reached on any list within so many days; 0 to hold nobody back for that
 * @param doNotContact somebody who asked not to be contacted
 * @param noWay somebody of whom no phone, e-mail or address is on record
 */
public record HoldRules(
        @Min(0) @Max(730) int appointmentDays,
        @Min(0) @Max(730) int reachedDays,
        boolean doNotContact,
        boolean noWay) {
    static final HoldRules USUAL = new HoldRules(60, 14, true, true);
}
