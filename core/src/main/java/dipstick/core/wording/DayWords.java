package dipstick.core.wording;

import dipstick.core.time.CalendarPeriod;
import dipstick.core.time.DateRange;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Days, ranges of days and periods in words. */
public final class DayWords {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM uuuu", Locale.UK);
    private static final DateTimeFormatter YEAR = DateTimeFormatter.ofPattern("uuuu", Locale.UK);
    private static final DateTimeFormatter MONTH = DateTimeFormatter.ofPattern("MMM uuuu", Locale.UK);

    private DayWords() {}

    public static String day(LocalDate day) {
        return DAY.format(day).replace("Sept", "Sep");
    }

    public static String day(int day) {
        return day(LocalDate.ofEpochDay(day));
    }

    /** A record's date: a day, a month or a year where it is just that, else the days between which it lies. */
    public static String date(DateRange days) {
        if (days.isExact()) {
            return day(days.first());
        }
        LocalDate first = LocalDate.ofEpochDay(days.first());
        LocalDate last = LocalDate.ofEpochDay(days.last());
        if (first.getDayOfYear() == 1 && last.equals(first.plusYears(1).minusDays(1))) {
            return YEAR.format(first);
        }
        if (first.getDayOfMonth() == 1 && last.equals(YearMonth.from(first).atEndOfMonth())) {
            return MONTH.format(first).replace("Sept", "Sep");
        }
        return "between " + day(first) + " and " + day(last);
    }

    /** The days of a window, both ends named where they are not open. */
    public static String range(DateRange days) {
        if (days.isEmpty()) {
            return "no day";
        }
        boolean openFirst = days.first() == DateRange.OPEN_FIRST;
        boolean openLast = days.last() == DateRange.OPEN_LAST;
        if (openFirst && openLast) {
            return "all days";
        }
        if (openFirst) {
            return "up to " + day(days.last());
        }
        return openLast ? "from " + day(days.first()) + " on" : day(days.first()) + " to " + day(days.last());
    }

    /** The days of a window as they stand in a sentence: "from 1 Jan 2026 to 30 Jun 2026". */
    public static String inSentence(DateRange days) {
        if (days.isEmpty() || days.first() == DateRange.OPEN_FIRST) {
            return days.equals(DateRange.ALL_DAYS) ? "on any day" : range(days);
        }
        return days.last() == DateRange.OPEN_LAST ? range(days) : "from " + range(days);
    }

    /** A period in the units in which it was written. */
    public static String period(CalendarPeriod period) {
        List<String> words = new ArrayList<>();
        Matcher part =
                Pattern.compile("(\\d+)([YMWD])").matcher(period.written().toUpperCase(Locale.ROOT));
        while (part.find()) {
            long amount = Long.parseLong(part.group(1));
            String unit = switch (part.group(2)) {
                case "Y" -> "year";
                case "M" -> "month";
                case "W" -> "week";
                default -> "day";
            };
            words.add(amount + " " + unit + (amount == 1 ? "" : "s"));
        }
        return String.join(" ", words);
    }
}
