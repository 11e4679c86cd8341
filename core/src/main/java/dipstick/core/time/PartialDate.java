package dipstick.core.time;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.YearMonth;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeFormatterBuilder;
import java.time.format.ResolverStyle;
import java.time.temporal.ChronoField;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * Reads the ISO 8601 dates of criteria.md section 1: a year, a month, a day or a date-time. A date-time with
 * an offset becomes the calendar day in the practice's zone; one without is already local.
 */
public final class PartialDate {
    private static final Pattern YEAR = Pattern.compile("\\d{4}");
    private static final Pattern MONTH = Pattern.compile("\\d{4}-\\d{2}");
    private static final Pattern DAY = Pattern.compile("\\d{4}-\\d{2}-\\d{2}");
    private static final Pattern DATE_TIME = Pattern.compile("\\d{4}-\\d{2}-\\d{2}[Tt].+");

    private static final DateTimeFormatter LOCAL_DATE_TIME = new DateTimeFormatterBuilder()
            .parseCaseInsensitive()
            .append(DateTimeFormatter.ISO_LOCAL_DATE)
            .appendLiteral('T')
            .appendPattern("HH[:mm[:ss")
            .appendFraction(ChronoField.NANO_OF_SECOND, 0, 9, true)
            .appendPattern("]]")
            .toFormatter(Locale.ROOT)
            .withResolverStyle(ResolverStyle.STRICT);

    private static final DateTimeFormatter OFFSET_DATE_TIME = new DateTimeFormatterBuilder()
            .parseCaseInsensitive()
            .append(LOCAL_DATE_TIME)
            .appendPattern("[XXX][XX][X]")
            .toFormatter(Locale.ROOT)
            .withResolverStyle(ResolverStyle.STRICT);

    private PartialDate() {}

    /** The days that {@code text} stands for, or nothing where it is no such date. */
    public static Optional<DateRange> parse(String text, ZoneId zone) {
        try {
            if (DAY.matcher(text).matches()) {
                return Optional.of(DateRange.day(day(text)));
            }
            if (MONTH.matcher(text).matches()) {
                YearMonth month = YearMonth.parse(text);
                return Optional.of(DateRange.between(month.atDay(1), month.atEndOfMonth()));
            }
            if (YEAR.matcher(text).matches()) {
                int year = Integer.parseInt(text);
                return Optional.of(DateRange.between(LocalDate.of(year, 1, 1), LocalDate.of(year, 12, 31)));
            }
            if (DATE_TIME.matcher(text).matches()) {
                return Optional.of(DateRange.day(localDay(text, zone)));
            }
            return Optional.empty();
        } catch (DateTimeException unreadable) {
            return Optional.empty();
        }
    }

    /** The one day that {@code text} names, or nothing where it is partial or no date. */
    public static Optional<LocalDate> parseDay(String text) {
        try {
            return DAY.matcher(text).matches() ? Optional.of(day(text)) : Optional.empty();
        } catch (DateTimeException unreadable) {
            return Optional.empty();
        }
    }

    /** @param text figures where {@link #DAY} has them */
    private static LocalDate day(String text) {
        return LocalDate.of(
                Integer.parseInt(text, 0, 4, 10), Integer.parseInt(text, 5, 7, 10), Integer.parseInt(text, 8, 10, 10));
    }

    private static LocalDate localDay(String text, ZoneId zone) {
        Object read = OFFSET_DATE_TIME.parseBest(text, OffsetDateTime::from, LocalDateTime::from);
        return read instanceof OffsetDateTime moment
                ? moment.atZoneSameInstant(zone).toLocalDate()
                : ((LocalDateTime) read).toLocalDate();
    }

    /** A range of days as ISO 8601 writes it: a day, a month or a year where it is just that; else its first day. */
    public static String written(DateRange days) {
        LocalDate first = LocalDate.ofEpochDay(days.first());
        LocalDate last = LocalDate.ofEpochDay(days.last());
        if (first.getDayOfYear() == 1 && last.equals(first.plusYears(1).minusDays(1))) {
            return first.toString().substring(0, first.toString().length() - "-01-01".length());
        }
        if (first.getDayOfMonth() == 1 && last.equals(YearMonth.from(first).atEndOfMonth())) {
            return YearMonth.from(first).toString();
        }
        return first.toString();
    }
}
