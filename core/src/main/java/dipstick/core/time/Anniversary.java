package dipstick.core.time;

import java.time.LocalDate;

/**
 * The first day on which a number of months is complete, as {@code ChronoUnit.MONTHS.between} counts them: where
 * the month has no such day, the first of the next month.
 */
final class Anniversary {
    private Anniversary() {}

    static LocalDate plusMonths(LocalDate day, long months) {
        LocalDate stopped = day.plusMonths(months);
        return stopped.getDayOfMonth() == day.getDayOfMonth() ? stopped : stopped.plusDays(1);
    }
}
