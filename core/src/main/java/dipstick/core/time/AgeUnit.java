package dipstick.core.time;

import java.time.LocalDate;

/** The units in which an age is counted. */
public enum AgeUnit {
    YEARS("years", 12, 0),
    MONTHS("months", 1, 0),
    WEEKS("weeks", 0, 7),
    DAYS("days", 0, 1);

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

    /** The first day on which somebody born on {@code birth} has completed {@code age} units. */
    LocalDate reached(LocalDate birth, int age) {
        return months > 0 ? Anniversary.plusMonths(birth, (long) months * age) : birth.plusDays((long) days * age);
    }

    /** The last day of birth on which somebody has completed {@code age} units on {@code day}. */
    LocalDate lastBirth(LocalDate day, int age) {
        return months > 0 ? day.minusMonths((long) months * age) : day.minusDays((long) days * age);
    }
}
