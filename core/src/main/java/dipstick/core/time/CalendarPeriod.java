package dipstick.core.time;

import java.time.LocalDate;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * An ISO 8601 period {@code PnYnMnWnD} without a time part (criteria.md section 2): months, stopped at a
 * month's last day where the day does not exist, then days.
 *
 * @param written the period as it was written, which is what a dial's choices compare
 */
public record CalendarPeriod(String written, int months, int days) {
    /** Longer periods leave the calendar that a four-digit year can write. */
    private static final int LONGEST_YEARS = 9999;

    private static final Pattern FORM =
            Pattern.compile("P(?=\\d)(?:(\\d+)Y)?(?:(\\d+)M)?(?:(\\d+)W)?(?:(\\d+)D)?", Pattern.CASE_INSENSITIVE);

    /** Whether {@code text} writes a period that is longer than 9999 years. */
    public static boolean isTooLong(String text) {
        return FORM.matcher(text.strip()).matches() && parse(text).isEmpty();
    }

    /** The period that {@code text} writes, or nothing where it is no period or longer than 9999 years. */
    public static Optional<CalendarPeriod> parse(String text) {
        Matcher form = FORM.matcher(text.strip());
        if (!form.matches()) {
            return Optional.empty();
        }
        long months = 12 * amount(form, 1) + amount(form, 2);
        long days = 7 * amount(form, 3) + amount(form, 4);
        if (months > 12L * LONGEST_YEARS || days > 366L * LONGEST_YEARS) {
            return Optional.empty();
        }
        return Optional.of(new CalendarPeriod(text.strip(), (int) months, (int) days));
    }

    private static long amount(Matcher form, int group) {
        String digits = form.group(group);
        if (digits == null) {
            return 0;
        }
        return digits.length() > 9 ? Integer.MAX_VALUE : Long.parseLong(digits);
    }

    /** {@code day − P}. */
    public LocalDate before(LocalDate day) {
        return day.minusMonths(months).minusDays(days);
    }

    /** {@code day + P}. */
    public LocalDate after(LocalDate day) {
        return day.plusMonths(months).plusDays(days);
    }

    public int before(int day) {
        return Math.toIntExact(before(LocalDate.ofEpochDay(day)).toEpochDay());
    }

    public int after(int day) {
        return Math.toIntExact(after(LocalDate.ofEpochDay(day)).toEpochDay());
    }

    /**
     * The first day X with {@code X − P} after {@code day}: the day on which a lookback of P no longer holds
     * what happened on {@code day} (criteria.md section 4, due date).
     */
    public int lapseOf(int day) {
        LocalDate firstOutside = LocalDate.ofEpochDay((long) day + days + 1);
        return Math.toIntExact(Anniversary.plusMonths(firstOutside, months).toEpochDay());
    }

    /** Whether {@code day − this} is after {@code day − other} whatever the day. */
    public boolean isAlwaysShorterThan(CalendarPeriod other) {
        return LeapCycle.days().allMatch(day -> before(day).isAfter(other.before(day)));
    }
}
