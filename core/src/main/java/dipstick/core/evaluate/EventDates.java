package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.time.DateRange;
import java.util.List;

/**
 * The dates of events as seen from the as-of date: a partial date that has begun ends there at the latest, and an undated
 * event ranges over all days up to it (criteria.md section 1).
 */
final class EventDates {
    private final int asOf;
    private final Codes codes;
    private final List<DateRange> clipped;
    private final int[] firsts;
    private final int[] lasts;

    EventDates(Column.OfDate on, int asOf) {
        this.asOf = asOf;
        this.codes = on.codes();
        this.clipped = on.days().stream().map(days -> days.clippedTo(asOf)).toList();
        this.firsts = clipped.stream().mapToInt(DateRange::first).toArray();
        this.lasts = clipped.stream().mapToInt(DateRange::last).toArray();
    }

    /** By code of the column. */
    List<DateRange> byCode() {
        return clipped;
    }

    boolean isDated(int event) {
        return codes.get(event) != Codes.MISSING;
    }

    boolean isExact(int event) {
        int code = codes.get(event);
        return code != Codes.MISSING && firsts[code] == lasts[code];
    }

    int first(int event) {
        int code = codes.get(event);
        return code == Codes.MISSING ? DateRange.OPEN_FIRST : firsts[code];
    }

    int last(int event) {
        int code = codes.get(event);
        return code == Codes.MISSING ? asOf : lasts[code];
    }

    /** Whether an undated event lies in a window that is not one of ages. */
    static Outcome undatedIn(DateRange window, int asOf) {
        if (window.isEmpty() || window.first() > asOf) {
            return Outcome.NO;
        }
        boolean holdsAllDays = window.first() == DateRange.OPEN_FIRST && window.last() >= asOf;
        return holdsAllDays ? Outcome.YES : Outcome.UNSURE;
    }
}
