package dipstick.core.typed.plain;

import dipstick.core.time.DateRange;
import dipstick.core.time.PartialDate;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.MatchResult;

/** Days, months and years as people write them, and the windows that they make. */
final class Dates {
    private static final String MONTH =
            "(jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)(?:\\.|uary|ruary|ch|il|e|y|ust|t|tember|ober|ember)?";
    private static final List<String> MONTHS =
            List.of("jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec");

    private Dates() {}

    /** @param asOf the day from which a month without a year is seen */
    static List<Rewrite> all(Optional<LocalDate> asOf, boolean dayFirst) {
        List<Rewrite> all = new ArrayList<>();
        all.add(Rewrite.by("(\\d{4}-\\d\\d-\\d\\d)", match -> day(match.group(1))));
        all.add(Rewrite.by("({i})[/.-]({i})[/.-](\\d{4})", match -> inFigures(match, dayFirst)));
        all.add(Rewrite.by(
                "(?:the )?(\\d{1,2})(?:st|nd|rd|th)?(?: of)? " + MONTH + "(?: ,)? (\\d{4})",
                match -> named(match.group(3), match.group(2), match.group(1))));
        all.add(Rewrite.by(
                MONTH + " (\\d{1,2})(?:st|nd|rd|th)?(?: ,)? (\\d{4})",
                match -> named(match.group(3), match.group(1), match.group(2))));
        all.add(Rewrite.by(
                MONTH + " ((?:19|20)\\d\\d)", match -> "‹" + match.group(2) + "-" + month(match.group(1)) + "›"));
        all.add(Rewrite.by(
                "(\\d{1,2})[/.]((?:19|20)\\d\\d)",
                match -> isMonth(match.group(1))
                        ? "‹" + match.group(2) + "-" + two(match.group(1)) + "›"
                        : match.group()));
        asOf.ifPresent(day -> all.add(Rewrite.by("(?<=since |from |after |before )" + MONTH, match -> {
            int month = MONTHS.indexOf(match.group(1)) + 1;
            int year = month <= day.getMonthValue() ? day.getYear() : day.getYear() - 1;
            return "‹" + year + "-" + month(match.group(1)) + "›";
        })));
        all.add(Rewrite.of("((?:19|20)\\d\\d)-((?:19|20)\\d\\d)", "from $1 to $2"));
        all.add(Rewrite.by(
                "(?:from|between) ({D}) (?:to|and|until|till|through|-) ({D})",
                match -> window("from " + first(match.group(1)) + " to " + last(match.group(2)))));
        all.add(of(
                "(?:on or before|until|till|up to|by|through|no later than|not after)", day -> "up to " + last(day)));
        all.add(of(
                "(?:on or after|since|from|starting|no earlier than|not before)", day -> "from " + first(day) + " on"));
        all.add(of(
                "(?:before|prior to|earlier than)", day -> "up to " + first(day).minusDays(1)));
        all.add(of("(?:after|later than)", day -> "from " + last(day).plusDays(1) + " on"));
        all.add(of("(?:in|during|throughout|on)", day -> "from " + first(day) + " to " + last(day)));
        return all;
    }

    private static Rewrite of(String before, Function<String, String> means) {
        String onwards = before.contains("since") ? "(?: on| onwards?| and after| or later| or after)?" : "";
        return Rewrite.by(before + " ({D})" + onwards, match -> window(means.apply(match.group(1))));
    }

    static String window(String words) {
        return "⟪" + words + "⟫";
    }

    /** The whole calendar year, month, quarter or week before or after that of a day. */
    static DateRange calendar(String unit, LocalDate asOf, int step) {
        return switch (unit) {
            case "year" -> {
                LocalDate first = asOf.withDayOfYear(1).plusYears(step);
                yield DateRange.between(first, first.plusYears(1).minusDays(1));
            }
            case "quarter" -> {
                LocalDate first = asOf.withDayOfMonth(1)
                        .minusMonths((asOf.getMonthValue() - 1) % 3)
                        .plusMonths(3L * step);
                yield DateRange.between(first, first.plusMonths(3).minusDays(1));
            }
            case "month" -> {
                LocalDate first = asOf.withDayOfMonth(1).plusMonths(step);
                yield DateRange.between(first, first.plusMonths(1).minusDays(1));
            }
            default -> {
                LocalDate first =
                        asOf.minusDays(asOf.getDayOfWeek().getValue() - 1L).plusWeeks(step);
                yield DateRange.between(first, first.plusDays(6));
            }
        };
    }

    static String words(DateRange days) {
        return "from " + LocalDate.ofEpochDay(days.first()) + " to " + LocalDate.ofEpochDay(days.last());
    }

    private static LocalDate first(String day) {
        return LocalDate.ofEpochDay(range(day).first());
    }

    private static LocalDate last(String day) {
        return LocalDate.ofEpochDay(range(day).last());
    }

    private static DateRange range(String day) {
        return PartialDate.parse(day.replaceAll("[‹›]", ""), ZoneOffset.UTC).orElseThrow();
    }

    /** As it stands where there is no such day. */
    private static String inFigures(MatchResult match, boolean dayFirst) {
        String year = match.group(3);
        String byOrder = dayFirst
                ? year + "-" + two(match.group(2)) + "-" + two(match.group(1))
                : year + "-" + two(match.group(1)) + "-" + two(match.group(2));
        String otherwise = dayFirst
                ? year + "-" + two(match.group(1)) + "-" + two(match.group(2))
                : year + "-" + two(match.group(2)) + "-" + two(match.group(1));
        return isDay(byOrder) ? day(byOrder) : isDay(otherwise) ? day(otherwise) : match.group();
    }

    private static String named(String year, String month, String day) {
        String written = year + "-" + month(month) + "-" + two(day);
        return isDay(written) ? day(written) : day + " " + month + " " + year;
    }

    private static String day(String written) {
        return isDay(written) ? "‹" + written + "›" : written;
    }

    private static boolean isDay(String written) {
        try {
            return LocalDate.parse(written).getYear() > 0;
        } catch (DateTimeException none) {
            return false;
        }
    }

    private static boolean isMonth(String figures) {
        int month = Integer.parseInt(figures);
        return month >= 1 && month <= 12;
    }

    private static String month(String name) {
        return two(String.valueOf(MONTHS.indexOf(name.substring(0, 3)) + 1));
    }

    private static String two(String figures) {
        return figures.length() == 1 ? "0" + figures : figures;
    }
}
