package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.time.DateRange;
import java.util.List;
import java.util.stream.IntStream;

/**
 * The dates of events as seen from the as-of date: a partial date that has begun ends there at the latest, and an undated
 * event ranges over all days up to it (criteria.md section 1).
 */
final class EventDates {
    private final int asOf;
    private final Codes codes;
    private final int[] firsts;
    private final int[] lasts;

    EventDates(Column.OfDate on, int asOf) {
        this.asOf = asOf;
        this.codes = on.codes();
        this.firsts = new int[on.codeCount()];
        this.lasts = new int[on.codeCount()];
        for (int code = 0; code < firsts.length; code++) {
            firsts[code] = on.days().first(code);
            lasts[code] = DateRange.clipLast(firsts[code], on.days().last(code), asOf);
        }
    }

    /** By code of the column. */
    List<DateRange> byCode() {
        return IntStream.range(0, firsts.length)
                .mapToObj(code -> new DateRange(firsts[code], lasts[code]))
                .toList();
    }

    /** The column's codes as ranks: whether the event lies in a window that is not one of ages. */
    FieldMatcher.ByCode in(DateRange window) {
        byte[] ranks = new byte[firsts.length];
        for (int code = 0; code < ranks.length; code++) {
            ranks[code] = DateRange.relate(firsts[code], lasts[code], window.first(), window.last())
                    .rank();
        }
        ranks[Codes.MISSING] = undatedIn(window).rank();
        return new FieldMatcher.ByCode(codes, ranks);
    }

    /** Whether it has begun by the as-of date (criteria.md section 3, active); an undated one has. */
    FieldMatcher begun() {
        byte[] ranks = new byte[firsts.length];
        for (int code = 0; code < ranks.length; code++) {
            ranks[code] =
                    (lasts[code] <= asOf ? Outcome.YES : firsts[code] > asOf ? Outcome.NO : Outcome.UNSURE).rank();
        }
        ranks[Codes.MISSING] = Outcome.YES.rank();
        return new FieldMatcher.ByCode(codes, ranks);
    }

    /** The number of different dates on record. */
    int count() {
        return firsts.length;
    }

    /** The place of an event's date among them. */
    int code(int event) {
        return codes.get(event);
    }

    int firstOf(int code) {
        return firsts[code];
    }

    int lastOf(int code) {
        return lasts[code];
    }

    /** The last day that an event with this date may be of, undated ones among them. */
    int latestOf(int code) {
        return code == Codes.MISSING ? asOf : lasts[code];
    }

    /** The first day, likewise. */
    int earliestOf(int code) {
        return code == Codes.MISSING ? DateRange.OPEN_FIRST : firsts[code];
    }

    boolean isDated(int event) {
        return codes.get(event) != Codes.MISSING;
    }

    boolean isExact(int event) {
        return isExactCode(codes.get(event));
    }

    boolean isExactCode(int code) {
        return code != Codes.MISSING && firsts[code] == lasts[code];
    }

    int first(int event) {
        return earliestOf(codes.get(event));
    }

    int last(int event) {
        return latestOf(codes.get(event));
    }

    private Outcome undatedIn(DateRange window) {
        if (window.isEmpty() || window.first() > asOf) {
            return Outcome.NO;
        }
        boolean holdsAllDays = window.first() == DateRange.OPEN_FIRST && window.last() >= asOf;
        return holdsAllDays ? Outcome.YES : Outcome.UNSURE;
    }
}
