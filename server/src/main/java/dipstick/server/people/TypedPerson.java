package dipstick.server.people;

import dipstick.core.text.NormalText;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;

/**
 * What is typed to find somebody, as words that are looked for one by one: birth dates as people say them become ISO 8601
 * ones, and what is left of a number that is typed with spaces is put together.
 */
final class TypedPerson {
    private static final Pattern IN_FIGURES =
            Pattern.compile("\\b(\\d{1,2})[./ -](\\d{1,2})[./ -]((?:1[89]|20)\\d\\d)\\b");
    private static final Pattern NAMED =
            Pattern.compile("\\b(\\d{1,2})(?:st|nd|rd|th)?[ .]+([a-z]{3})[a-z]*[ ,.]+(\\d{4})\\b");
    private static final Pattern SPACED_NUMBER = Pattern.compile("(?<![\\p{L}\\d-])[+(]?\\d[\\d()/. -]*\\d");
    private static final Pattern ISO = Pattern.compile("\\d{4}-\\d{2}(-\\d{2})?.*");
    private static final List<String> MONTHS =
            List.of("jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec");

    private TypedPerson() {}

    /** @param dayFirst whether 3/2/1950 is the third of February */
    static List<String> words(String typed, boolean dayFirst) {
        String text = NormalText.of(typed).toLowerCase(Locale.ROOT);
        String dated = IN_FIGURES.matcher(text).replaceAll(found -> inFigures(found, dayFirst));
        String said = NAMED.matcher(dated).replaceAll(TypedPerson::named);
        String joined = SPACED_NUMBER
                .matcher(said)
                .replaceAll(found -> ISO.matcher(found.group()).matches()
                        ? found.group()
                        : found.group().replace(" ", ""));
        return List.of(joined.strip().split("[ ,]+"));
    }

    private static String inFigures(MatchResult found, boolean dayFirst) {
        int one = Integer.parseInt(found.group(1));
        int other = Integer.parseInt(found.group(2));
        // There is no thirteenth month, whichever way round it is usually written.
        boolean dayIsFirst = one > 12 || (dayFirst && other <= 12);
        return iso(found, dayIsFirst ? other : one, dayIsFirst ? one : other);
    }

    private static String named(MatchResult found) {
        return iso(found, MONTHS.indexOf(found.group(2)) + 1, Integer.parseInt(found.group(1)));
    }

    /** As it was typed where there is no such day. */
    private static String iso(MatchResult found, int month, int day) {
        try {
            return LocalDate.of(Integer.parseInt(found.group(3)), month, day).toString();
        } catch (DateTimeException noSuchDay) {
            return found.group();
        }
    }
}
