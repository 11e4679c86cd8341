package dipstick.core.time;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;

/** A stretch of days seen from the as-of date, such as a lookback (criteria.md section 2). */
public sealed interface Window {
    /** Up to the as-of date: the default of a selection. */
    record Ever() implements Window {}

    /** All days, past and future. */
    record AnyDay() implements Window {}

    record Last(CalendarPeriod period) implements Window {}

    record Next(CalendarPeriod period) implements Window {}

    /** From the as-of date less {@code from} to the as-of date less {@code to}. */
    record Ago(CalendarPeriod from, CalendarPeriod to) implements Window {}

    record SinceStartOf(CalendarUnit unit) implements Window {}

    /** The days as given; an end that is not given is open. */
    record Dates(DateRange days) implements Window {}

    /** The days on which the person's completed age is in the span: a window of its own for each person. */
    record AtAge(AgeSpan ages) implements Window {}

    /** The beginnings that a window may reach back to. Weeks start on Monday. */
    enum CalendarUnit {
        YEAR("year"),
        QUARTER("quarter"),
        MONTH("month"),
        WEEK("week");

        private final String word;

        CalendarUnit(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }

        LocalDate startOf(LocalDate day) {
            return switch (this) {
                case YEAR -> day.withDayOfYear(1);
                case QUARTER -> LocalDate.of(day.getYear(), day.getMonth().firstMonthOfQuarter(), 1);
                case MONTH -> day.withDayOfMonth(1);
                case WEEK -> day.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
            };
        }
    }

    /**
     * The days of this window as of {@code asOf}, the same for everybody.
     *
     * @throws IllegalStateException for {@link AtAge}, whose days depend on the person's birth
     */
    default DateRange daysAsOf(LocalDate asOf) {
        int today = Math.toIntExact(asOf.toEpochDay());
        return switch (this) {
            case Ever ever -> DateRange.upTo(today);
            case AnyDay any -> DateRange.ALL_DAYS;
            case Last last -> DateRange.between(last.period().before(asOf), asOf);
            case Next next -> DateRange.between(asOf, next.period().after(asOf));
            case Ago ago -> DateRange.between(ago.from().before(asOf), ago.to().before(asOf));
            case SinceStartOf since -> DateRange.between(since.unit().startOf(asOf), asOf);
            case Dates dates -> dates.days();
            case AtAge atAge -> throw new IllegalStateException("Ages have no days without a birth date: " + atAge);
        };
    }
}
