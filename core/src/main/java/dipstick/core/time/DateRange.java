package dipstick.core.time;

import dipstick.core.Outcome;
import java.time.LocalDate;

/**
 * A closed range of days, both ends inside, as days since 1970-01-01. A record's date is such a range: a day
 * where it is exact, a month or a year where it is partial (criteria.md section 1). A range whose last day is
 * before its first holds no day.
 */
public record DateRange(int first, int last) {
    /** Before every day that a date can name: an open beginning. */
    public static final int OPEN_FIRST = Integer.MIN_VALUE;

    /** After every day that a date can name: an open end. */
    public static final int OPEN_LAST = Integer.MAX_VALUE;

    public static final DateRange ALL_DAYS = new DateRange(OPEN_FIRST, OPEN_LAST);

    public static final DateRange NO_DAY = new DateRange(OPEN_LAST, OPEN_FIRST);

    public static DateRange day(LocalDate day) {
        int number = Math.toIntExact(day.toEpochDay());
        return new DateRange(number, number);
    }

    public static DateRange between(LocalDate first, LocalDate last) {
        return new DateRange(Math.toIntExact(first.toEpochDay()), Math.toIntExact(last.toEpochDay()));
    }

    public static DateRange upTo(int last) {
        return new DateRange(OPEN_FIRST, last);
    }

    public boolean isEmpty() {
        return last < first;
    }

    public boolean isExact() {
        return first == last;
    }

    public boolean contains(int day) {
        return first <= day && day <= last;
    }

    /** Whether a day known only to be in this range lies in {@code window}: yes, no, or can't tell. */
    public Outcome liesIn(DateRange window) {
        return relate(first, last, window.first, window.last);
    }

    /** The same for the ranges {@code [first, last]} and {@code [lo, hi]}, without making objects. */
    public static Outcome relate(int first, int last, int lo, int hi) {
        if (lo > hi || last < lo || first > hi) {
            return Outcome.NO;
        }
        return lo <= first && last <= hi ? Outcome.YES : Outcome.UNSURE;
    }

    /**
     * The date of an event as seen from {@code asOf}: what is on record for a month or year that has begun did
     * not happen after the as-of date.
     */
    public DateRange clippedTo(int asOf) {
        return new DateRange(first, clipLast(first, last, asOf));
    }

    /** The last day of {@link #clippedTo}, without making an object. */
    public static int clipLast(int first, int last, int asOf) {
        return first <= asOf && last > asOf ? asOf : last;
    }
}
