package dipstick.core.time;

import java.time.LocalDate;
import java.util.OptionalInt;

/**
 * Completed ages from one to another, both inside (criteria.md section 2). On a day before the birth there is no
 * age, and none of them holds.
 */
public record AgeSpan(OptionalInt from, OptionalInt through, AgeUnit unit) {
    /** More units of any kind than lie between two dates that can be written; such an age is never reached. */
    private static final int NEVER_REACHED = 4_000_000;

    /**
     * How many days after the birth the ages begin and end at the earliest and at the latest, whichever day the birth was.
     *
     * @param earliestEnd the last day, as is {@code latestEnd}
     */
    public record Distance(long earliestBegin, long latestBegin, long earliestEnd, long latestEnd) {
        /** @param first days after the birth, as is {@code last} */
        public boolean isSurelyOutside(long first, long last) {
            return last < earliestBegin || first > latestEnd;
        }

        public boolean isSurelyInside(long first, long last) {
            return first >= latestBegin && last <= earliestEnd;
        }
    }

    public Distance distance() {
        boolean never = from.isPresent() && from.getAsInt() >= NEVER_REACHED;
        boolean ends = through.isPresent() && through.getAsInt() < NEVER_REACHED;
        if (never) {
            return new Distance(Long.MAX_VALUE, Long.MAX_VALUE, Long.MIN_VALUE, Long.MIN_VALUE);
        }
        long end = ends ? unit.averageDays(through.getAsInt() + 1) : 0;
        long begin = from.isPresent() ? unit.averageDays(from.getAsInt()) : 0;
        long slack = from.isPresent() ? AgeUnit.MOST_FROM_AVERAGE : 0;
        return new Distance(
                begin - slack,
                begin + slack,
                ends ? end - 1 - AgeUnit.MOST_FROM_AVERAGE : Long.MAX_VALUE,
                ends ? end - 1 + AgeUnit.MOST_FROM_AVERAGE : Long.MAX_VALUE);
    }

    /** The days of birth with which somebody is of this age on {@code day}. */
    public DateRange birthsOn(int day) {
        LocalDate date = LocalDate.ofEpochDay(day);
        int last = day;
        if (from.isPresent()) {
            if (from.getAsInt() >= NEVER_REACHED) {
                return DateRange.NO_DAY;
            }
            last = Math.min(
                    day, Math.toIntExact(unit.lastBirth(date, from.getAsInt()).toEpochDay()));
        }
        int first = DateRange.OPEN_FIRST;
        if (through.isPresent() && through.getAsInt() < NEVER_REACHED) {
            first = Math.toIntExact(unit.lastBirth(date, through.getAsInt() + 1).toEpochDay() + 1);
        }
        return new DateRange(first, last);
    }

    /** The days on which somebody born on {@code birth} is of this age. */
    public DateRange daysOf(int birth) {
        LocalDate date = LocalDate.ofEpochDay(birth);
        int first = birth;
        if (from.isPresent()) {
            if (from.getAsInt() >= NEVER_REACHED) {
                return DateRange.NO_DAY;
            }
            first = Math.toIntExact(unit.reached(date, from.getAsInt()).toEpochDay());
        }
        int last = DateRange.OPEN_LAST;
        if (through.isPresent() && through.getAsInt() < NEVER_REACHED) {
            last = Math.toIntExact(unit.reached(date, through.getAsInt() + 1).toEpochDay() - 1);
        }
        return new DateRange(first, last);
    }
}
