package dipstick.core.typed.plain;

import java.util.List;
import java.util.function.Function;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * A way of saying something, and how the sheet says it.
 *
 * @param said in words with single spaces between; names are single signs (see {@link Names})
 * @param means each of the things that it may mean: after ¦ a criterion begins, and one in ⟦⟧ is whole
 */
record Rewrite(Pattern said, List<Function<MatchResult, String>> means) {

    /** At the end of a pattern: a record is named next, which is not part of what is said. */
    static final String RECORD = "{RECORD}";

    /** In a pattern, what stands for several. */
    private static final List<List<String>> SHORT = List.of(
            List.of("{N}", "[\uE000-\uE7FF]"),
            List.of("{T}", "[\uE000-\uE3FF]"),
            List.of("{K}", "[\uE400-\uE7FF]"),
            List.of("{V}", "[\uE800-\uEBFF]"),
            List.of("{Q}", "[\uEC00-\uEFFF]"),
            List.of("{F}", "[\uF000-\uF3FF]"),
            List.of("{FT}", "[\uF000-\uF0FF]"),
            List.of("{FN}", "[\uF100-\uF1FF]"),
            List.of("{FD}", "[\uF200-\uF2FF]"),
            List.of("{FF}", "[\uF300-\uF3FF]"),
            List.of("{W}", "⟪[^⟫]*⟫"),
            List.of("{D}", "(?:‹[^›]+›|(?:19|20)\\d\\d)"),
            List.of("{P}", "\\d{1,5} (?:years?|months?|weeks?|days?)(?: \\d{1,5} (?:months?|weeks?|days?))*"),
            List.of("{U}", "(years?|months?|weeks?|days?)"),
            List.of("{n}", "\\d{1,9}(?:\\.\\d{1,9})?"),
            List.of("{i}", "\\d{1,7}"));

    /** @param means with {@code $1} for the first group */
    static Rewrite of(String said, String... means) {
        return new Rewrite(
                pattern(said),
                Stream.of(means)
                        .map(words -> (Function<MatchResult, String>) match -> filled(words, match))
                        .toList());
    }

    static Rewrite by(String said, Function<MatchResult, String> means) {
        return new Rewrite(pattern(said), List.of(means));
    }

    static Rewrite either(String said, Function<MatchResult, String> one, Function<MatchResult, String> other) {
        return new Rewrite(pattern(said), List.of(one, other));
    }

    private static Pattern pattern(String said) {
        boolean beforeRecord = said.endsWith(RECORD);
        String all = beforeRecord
                ? said.substring(0, said.length() - RECORD.length()).strip()
                : said;
        for (List<String> part : SHORT) {
            all = all.replace(part.getFirst(), part.getLast());
        }
        return Pattern.compile(
                "(?<!\\S)(?:" + all + ")(?!\\S)" + (beforeRecord ? "(?= (?:active )?[\uE000-\uE7FF])" : ""));
    }

    static String filled(String words, MatchResult match) {
        String filled = words;
        for (int group = match.groupCount(); group > 0; group--) {
            filled = filled.replace("$" + group, match.group(group) == null ? "" : match.group(group));
        }
        return filled;
    }

    /** The words as they stand where this is not said in them; else each thing that they may mean. */
    Stream<String> of(String words) {
        Matcher matcher = said.matcher(words);
        return matcher.find()
                ? means.stream()
                        .map(meaning -> tidy(
                                matcher.reset().replaceAll(match -> Matcher.quoteReplacement(meaning.apply(match)))))
                : Stream.of(words);
    }

    static String tidy(String words) {
        return words.replaceAll("\\s+", " ").strip();
    }
}
