package dipstick.core.time;

import java.time.LocalDate;

/** The units in which an age is counted. */
public enum AgeUnit {
    YEARS("years", 12, 0),
    MONTHS("months", 1, 0),
    WEEKS("weeks", 0, 7),
    DAYS("days", 0, 1);

    /**
     * The days between a date and its n-th anniversary are no further than this from n times the average: 400 years have
     * the same days always, within them leap days are at most three early or late, and months three short or long.
     */
    static final long MOST_FROM_AVERAGE = 7;

    private static final double DAYS_OF_MONTH = 146_097 / 4_800.0;

    private final String word;
    private final int months;
    private final int days;

    AgeUnit(String word, int months, int days) {
        this.word = word;
        this.months = months;
        this.days = days;
    }

    public String word() {
        return word;
    }

    long averageDays(int age) {
        return Math.round(DAYS_OF_MONTH * months * age) + (long) days * age;
    }

    /** The first day on which somebody born on {@code birth} has completed {@code age} units. */
    LocalDate reached(LocalDate birth, int age) {
        return months > 0 ? Anniversary.plusMonths(birth, (long) months * age) : birth.plusDays((long) days * age);
    }

    /** The last day of birth on which somebody has completed {@code age} units on {@code day}. */
    LocalDate lastBirth(LocalDate day, int age) {
        return months > 0 ? day.minusMonths((long) months * age) : day.minusDays((long) days * age);
    }
}
