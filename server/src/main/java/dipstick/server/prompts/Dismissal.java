package dipstick.server.prompts;

import dipstick.core.wording.DayWords;
import java.time.LocalDate;

/** A colleague's word that nobody is to be told of somebody on a list for a while; the last day belongs to it. */
record Dismissal(
        long id,
        String setId,
        String person,
        String reason,
        LocalDate fromDay,
        LocalDate untilDay,
        String account,
        boolean ended) {
    boolean holdsOn(LocalDate day) {
        return !ended && !untilDay.isBefore(day);
    }

    /** @param who the colleague's name */
    String words(String who) {
        return "until " + DayWords.day(untilDay) + ": " + reason + " (" + who + ")";
    }
}
