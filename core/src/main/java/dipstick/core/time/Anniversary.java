package dipstick.core.time;

import java.time.LocalDate;
import java.time.YearMonth;

/**
 * The first day on which a number of months is complete, as {@code ChronoUnit.MONTHS.between} counts them: where
 * the month has no such day, the first of the next month.
 */
final class Anniversary {
    private Anniversary() {}

    static LocalDate plusMonths(LocalDate day, long months) {
        YearMonth month = YearMonth.from(day).plusMonths(months);
        return month.isValidDay(day.getDayOfMonth())
                ? month.atDay(day.getDayOfMonth())
                : month.plusMonths(1).atDay(1);
    }
}
