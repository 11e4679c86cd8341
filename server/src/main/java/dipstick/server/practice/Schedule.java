package dipstick.server.practice;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.temporal.TemporalAdjusters;
import java.util.Optional;

/**
 * When something is done by itself, as a list is read, in the practice's time zone. A time that daylight saving skips is read an hour later, one
 * that it repeats the first time; where a month has no such day, its last day is meant.
 *
 * @param dayOfWeek of a weekly reading
 * @param dayOfMonth of a monthly reading, 1 to 31
 */
public record Schedule(Every every, DayOfWeek dayOfWeek, int dayOfMonth, LocalTime at) {
    /** What holds until a coordinator says otherwise: the list of a day is there before anybody is. */
    public static final Schedule DAILY = new Schedule(Every.DAY, DayOfWeek.MONDAY, 1, LocalTime.of(6, 0));

    public enum Every {
        NEVER,
        DAY,
        WEEK,
        MONTH
    }

    /** The last time that has come; nothing where there is no such time. */
    public Optional<Instant> latestDue(Instant now, ZoneId zone) {
        LocalDate today = now.atZone(zone).toLocalDate();
        return day(today).map(day -> {
            Instant due = at(day, zone);
            return due.isAfter(now) ? at(before(day), zone) : due;
        });
    }

    /** The first time that is still to come. */
    public Optional<Instant> nextDue(Instant now, ZoneId zone) {
        LocalDate today = now.atZone(zone).toLocalDate();
        return day(today).map(day -> {
            Instant due = at(day, zone);
            return due.isAfter(now) ? due : at(after(day), zone);
        });
    }

    /** The day of the reading that is on this day or was the last before it. */
    private Optional<LocalDate> day(LocalDate today) {
        return switch (every) {
            case NEVER -> Optional.empty();
            case DAY -> Optional.of(today);
            case WEEK -> Optional.of(today.with(TemporalAdjusters.previousOrSame(dayOfWeek)));
            case MONTH -> {
                LocalDate inMonth = inMonthOf(today);
                yield Optional.of(inMonth.isAfter(today) ? inMonthOf(today.minusMonths(1)) : inMonth);
            }
        };
    }

    private LocalDate before(LocalDate day) {
        return switch (every) {
            case WEEK -> day.minusWeeks(1);
            case MONTH -> inMonthOf(day.minusMonths(1));
            case DAY, NEVER -> day.minusDays(1);
        };
    }

    private LocalDate after(LocalDate day) {
        return switch (every) {
            case WEEK -> day.plusWeeks(1);
            case MONTH -> inMonthOf(day.plusMonths(1));
            case DAY, NEVER -> day.plusDays(1);
        };
    }

    private LocalDate inMonthOf(LocalDate day) {
        return day.withDayOfMonth(Math.min(dayOfMonth, day.lengthOfMonth()));
    }

    private Instant at(LocalDate day, ZoneId zone) {
        return day.atTime(at).atZone(zone).toInstant();
    }
}
