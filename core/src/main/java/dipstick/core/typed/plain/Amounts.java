package dipstick.core.typed.plain;

import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Numbers and stretches of time as people say them. */
final class Amounts {
    private static final List<String> NUMBERS = List.of(
            "zero", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve");

    private static final String COUNTED =
            "(?= (?:or (?:more|fewer|less)|years?|months?|weeks?|days?|times?|different|{N}|active {N}))";

    private static final List<String> TENS =
            List.of("twenty", "thirty", "forty", "fifty", "sixty", "seventy", "eighty", "ninety");

    static final List<Rewrite> ALL = Stream.of(
                    IntStream.range(0, TENS.size())
                            .mapToObj(i -> Rewrite.of(TENS.get(i), String.valueOf(10 * (i + 2)))),
                    IntStream.range(0, NUMBERS.size())
                            .mapToObj(i -> Rewrite.of(NUMBERS.get(i) + COUNTED, String.valueOf(i))),
                    Stream.of(
                            Rewrite.of("a couple of", "2"),
                            Rewrite.of("once", "1 times"),
                            Rewrite.of("twice", "2 times"),
                            Rewrite.of("thrice", "3 times"),
                            Rewrite.of("({i})x", "$1 times"),
                            Rewrite.of("(?:a )?fortnight", "2 weeks"),
                            Rewrite.of("(?:a )?decade", "10 years"),
                            Rewrite.of("half a year|half year", "6 months"),
                            Rewrite.of("a year and a half|1.5 years", "18 months"),
                            Rewrite.of("an? (year|month|week|day)", "1 $1"),
                            Rewrite.of("(?:a |1 )?quarter(?= ago)", "3 months"),
                            Rewrite.of("({i}) ?(?:y|yrs?)", "$1 years"),
                            Rewrite.of("({i}) ?(?:mths?|mos?|m)", "$1 months"),
                            Rewrite.of("({i}) ?(?:wks?|w)", "$1 weeks"),
                            Rewrite.of("({i}) ?d", "$1 days"),
                            Rewrite.of("({i})-(year|month|week|day)s?", "$1 $2s"),
                            Rewrite.of("≥ ?({n})", ">= $1"),
                            Rewrite.of("≤ ?({n})", "<= $1"),
                            Rewrite.of("(>=|<=|>|<|=)({n})", "$1 $2"),
                            Rewrite.of("({i}) ?[–—] ?({i})", "$1-$2")))
            .flatMap(some -> some)
            .toList();

    private static final Pattern DAYS = Pattern.compile(" ?(\\d+) days?$");

    private Amounts() {}

    /** The period that is longer by a day. */
    static String oneDayMore(String period) {
        Matcher days = DAYS.matcher(period);
        return days.find()
                ? (period.substring(0, days.start()) + " " + (Integer.parseInt(days.group(1)) + 1) + " days").strip()
                : period + " 1 day";
    }

    /** About how many days a period is, to tell the longer of two. */
    static long about(String period) {
        long days = 0;
        String[] words = period.split(" ");
        for (int at = 0; at + 1 < words.length; at += 2) {
            long unit = switch (words[at + 1].charAt(0)) {
                case 'y' -> 365;
                case 'm' -> 30;
                case 'w' -> 7;
                default -> 1;
            };
            days += Long.parseLong(words[at]) * unit;
        }
        return days;
    }

    static int number(MatchResult match, int group) {
        return Integer.parseInt(match.group(group));
    }
}
