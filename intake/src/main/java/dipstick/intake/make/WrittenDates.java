package dipstick.intake.make;

import dipstick.core.text.NormalText;
import dipstick.core.time.DateRange;
import dipstick.core.time.PartialDate;
import dipstick.intake.describe.Written;
import dipstick.intake.describe.Written.DateOrder;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.Month;
import java.time.YearMonth;
import java.time.ZoneId;
import java.time.format.TextStyle;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads dates as people and programs write them: ISO 8601 always, figures in the order that is said, months by name in
 * several languages, and the run of figures of HL7. A date that does not exist, or could be either way, is none.
 */
public final class WrittenDates {
    private static final String TIME = "(?:[ T,]+\\d{1,2}[:.]\\d{2}(?:[:.]\\d{2})?(?:\\s*[AaPp]\\.?[Mm]\\.?)?)?";
    private static final Pattern FIGURES =
            Pattern.compile("(\\d{1,2})\\s*[/.\\-]\\s*(\\d{1,2})\\s*[/.\\-]\\s*(\\d{4}|\\d{2})\\.?" + TIME);
    private static final Pattern YEAR_FIRST =
            Pattern.compile("(\\d{4})\\s*[/.]\\s*(\\d{1,2})\\s*[/.]\\s*(\\d{1,2})" + TIME);
    private static final Pattern RUN = Pattern.compile("((?:18|19|20|21)\\d{2})(\\d{2})(\\d{2})(?:\\d{4}(?:\\d{2})?)?");
    private static final Pattern MONTH_OF_YEAR = Pattern.compile("(\\d{1,2})\\s*[/.\\-]\\s*(\\d{4})");
    private static final Pattern DAY_NAMED = Pattern.compile(
            "(?:\\p{L}+\\.?,?\\s+)?(\\d{1,2})(?:\\.|st|nd|rd|th|er|º|ª)?[\\s\\-./]*(?:de\\s+|of\\s+)?(\\p{L}+)\\.?[\\s\\-./,]*(?:de\\s+|of\\s+)?(\\d{4}|\\d{2})"
                    + TIME);
    private static final Pattern NAMED_DAY =
            Pattern.compile("(\\p{L}+)\\.?\\s*(\\d{1,2})(?:st|nd|rd|th)?,?\\s+(\\d{4})" + TIME);
    private static final Pattern NAMED_MONTH = Pattern.compile("(\\p{L}+)\\.?[\\s\\-/]*(?:de\\s+)?(\\d{4})");

    private static final List<String> LANGUAGES =
            List.of("en", "de", "fr", "es", "it", "pt", "nl", "sv", "da", "nb", "fi", "pl", "cs", "tr");

    private static final Map<String, Integer> MONTHS = months();

    private final Written written;
    private final ZoneId zone;
    /** The same few thousand days stand in most rows. */
    private final Map<String, Outcome> known = new HashMap<>();

    /** What a text comes to as a date. */
    public sealed interface Outcome {
        record Read(DateRange days) implements Outcome {}

        /** The day and the month could be the other way round. */
        record EitherWay() implements Outcome {}

        record NoDate() implements Outcome {}
    }

    private static final int MOST_KNOWN = 50_000;

    private static final Outcome NO_DATE = new Outcome.NoDate();

    public WrittenDates(Written written, ZoneId zone) {
        this.written = written;
        this.zone = zone;
    }

    /** @param text not empty, ends trimmed */
    public Outcome read(String text) {
        Outcome outcome = known.get(text);
        if (outcome == null) {
            outcome = readAnew(text);
            if (known.size() < MOST_KNOWN) {
                known.put(text, outcome);
            }
        }
        return outcome;
    }

    private Outcome readAnew(String text) {
        Optional<DateRange> iso = PartialDate.parse(text, zone);
        if (iso.isPresent()) {
            return new Outcome.Read(iso.get());
        }
        Matcher figures = FIGURES.matcher(text);
        if (figures.matches()) {
            return figures(number(figures, 1), number(figures, 2), year(figures.group(3)));
        }
        Matcher yearFirst = YEAR_FIRST.matcher(text);
        if (yearFirst.matches()) {
            return day(number(yearFirst, 1), number(yearFirst, 2), number(yearFirst, 3));
        }
        Matcher run = RUN.matcher(text);
        if (run.matches()) {
            return day(number(run, 1), number(run, 2), number(run, 3));
        }
        Matcher month = MONTH_OF_YEAR.matcher(text);
        if (month.matches()) {
            return month(number(month, 2), number(month, 1));
        }
        return named(text);
    }

    private Outcome named(String text) {
        Matcher dayNamed = DAY_NAMED.matcher(text);
        if (dayNamed.matches()) {
            return day(year(dayNamed.group(3)), monthOf(dayNamed.group(2)), number(dayNamed, 1));
        }
        Matcher namedDay = NAMED_DAY.matcher(text);
        if (namedDay.matches()) {
            return day(number(namedDay, 3), monthOf(namedDay.group(1)), number(namedDay, 2));
        }
        Matcher namedMonth = NAMED_MONTH.matcher(text);
        return namedMonth.matches() ? month(number(namedMonth, 2), monthOf(namedMonth.group(1))) : NO_DATE;
    }

    private Outcome figures(int first, int second, int year) {
        if (first == second) {
            return day(year, first, second);
        }
        return switch (written.dates()) {
            case DAY_FIRST -> day(year, second, first);
            case MONTH_FIRST -> day(year, first, second);
            case OPEN ->
                first > 12
                        ? day(year, second, first)
                        : second > 12 ? day(year, first, second) : new Outcome.EitherWay();
        };
    }

    private static Outcome day(int year, int month, int day) {
        try {
            LocalDate date = LocalDate.of(year, month, day);
            return new Outcome.Read(DateRange.between(date, date));
        } catch (DateTimeException none) {
            return NO_DATE;
        }
    }

    private static Outcome month(int year, int month) {
        try {
            YearMonth days = YearMonth.of(year, month);
            return new Outcome.Read(DateRange.between(days.atDay(1), days.atEndOfMonth()));
        } catch (DateTimeException none) {
            return NO_DATE;
        }
    }

    private int year(String figures) {
        int year = Integer.parseInt(figures);
        return figures.length() == 4 ? year : year <= written.turningYear() ? 2000 + year : 1900 + year;
    }

    private static int number(Matcher matcher, int group) {
        return Integer.parseInt(matcher.group(group));
    }

    /** 0 where there is no such month. */
    private static int monthOf(String name) {
        return MONTHS.getOrDefault(NormalText.of(name), 0);
    }

    private static Map<String, Integer> months() {
        Map<String, Integer> months = new HashMap<>();
        for (String language : LANGUAGES) {
            Locale locale = Locale.forLanguageTag(language);
            for (Month month : Month.values()) {
                for (TextStyle style : List.of(
                        TextStyle.FULL, TextStyle.FULL_STANDALONE, TextStyle.SHORT, TextStyle.SHORT_STANDALONE)) {
                    String name =
                            NormalText.of(month.getDisplayName(style, locale)).replace(".", "");
                    if (!name.isEmpty() && Character.isLetter(name.charAt(0))) {
                        months.putIfAbsent(name, month.getValue());
                    }
                }
            }
        }
        months.put("sept", 9);
        return months;
    }

    /** Whether a text is figures that tell which comes first: the day, the month, or neither. */
    public static Optional<DateOrder> tells(String text) {
        Matcher figures = FIGURES.matcher(text);
        if (!figures.matches() || number(figures, 1) > 31 || number(figures, 2) > 31) {
            return Optional.empty();
        }
        boolean dayFirst = number(figures, 1) > 12;
        boolean monthFirst = number(figures, 2) > 12;
        return Optional.of(
                dayFirst == monthFirst ? DateOrder.OPEN : dayFirst ? DateOrder.DAY_FIRST : DateOrder.MONTH_FIRST);
    }
}
