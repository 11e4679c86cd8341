package dipstick.server.outreach.excused;

import dipstick.core.wording.DayWords;
import java.time.LocalDate;

/**
 * Somebody taken off one list, or all of them, by a colleague.
 *
 * @param setId of the list; empty for all
 * @param untilDay the last day of it, an ISO date; empty for ever
 * @param ended whether somebody put them back before
 */
public record Excusal(
        long id,
        long act,
        String setId,
        String person,
        String reason,
        LocalDate fromDay,
        String untilDay,
        String account,
        boolean ended) {
    public boolean holdsOn(LocalDate day) {
        return !ended && (untilDay.isEmpty() || !LocalDate.parse(untilDay).isBefore(day));
    }

    /** Whether it takes them off a list on a day. */
    public boolean holds(String set, LocalDate day) {
        return (setId.isEmpty() || setId.equals(set)) && holdsOn(day);
    }

    /** @param who the colleague's name */
    public String words(String who) {
        return (setId.isEmpty() ? "From all lists " : "")
                + (untilDay.isEmpty() ? "for good" : "until " + DayWords.day(LocalDate.parse(untilDay))) + ": " + reason
                + " (" + who + ")";
    }
}
