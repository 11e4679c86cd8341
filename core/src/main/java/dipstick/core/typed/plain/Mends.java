package dipstick.core.typed.plain;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.apache.commons.text.similarity.LevenshteinDistance;

/**
 * What is offered instead of a line that is not understood.
 *
 * @param understood what its beginning means, as far as that is whole
 * @param lines at most two, each of which can be read
 * @param unknown the runs of words that are neither names nor words of the language, as they were typed
 */
public record Mends(Optional<String> understood, List<String> lines, List<String> unknown) {
    private static final int MOST = 2;

    /** So many words that are like a word are tried. */
    private static final int MOST_LIKE = 4;

    private static final int SHORTEST_MISSPELT = 4;

    /** Of a longer line every word would have to be tried. */
    private static final int MOST_WORDS = 16;

    /** Of so many words that begin so. */
    private static final int MOST_BEGUN = 20;

    /** Words of the language that are often misspelt, besides names. */
    static final List<String> LANGUAGE = List.of(
            "aged",
            "female",
            "women",
            "visit",
            "visits",
            "appointment",
            "appointments",
            "vaccination",
            "problem",
            "result",
            "medication",
            "document",
            "contact",
            "procedure",
            "latest",
            "earliest",
            "without",
            "between",
            "months",
            "month",
            "years",
            "year",
            "weeks",
            "week",
            "days",
            "within",
            "last",
            "next",
            "before",
            "after",
            "since",
            "active",
            "never",
            "at least",
            "at most",
            "more than",
            "today",
            "yesterday",
            "twice",
            "exactly",
            "blank",
            "record",
            "whose",
            "seen",
            "to",
            "born",
            "registered");

    public static final Mends NOTHING = new Mends(Optional.empty(), List.of(), List.of());

    public Mends {
        lines = List.copyOf(lines);
        unknown = List.copyOf(unknown);
    }

    public static Mends of(String typed, Lines lines) {
        List<String> words = List.of(typed.strip().split("\\s+"));
        if (words.size() > MOST_WORDS) {
            return new Mends(Optional.empty(), List.of(), lines.unknown(typed));
        }
        Optional<String> understood = beginning(words, lines);
        Set<String> mended = new LinkedHashSet<>();
        respelt(words, lines).forEach(mended::add);
        if (mended.size() < MOST) {
            lessOne(words, lines).forEach(mended::add);
        }
        if (mended.isEmpty()) {
            understood.ifPresent(mended::add);
        }
        if (mended.isEmpty()) {
            mended.addAll(lines.perhaps(typed));
        }
        return new Mends(understood, mended.stream().limit(MOST).toList(), lines.unknown(typed));
    }

    /** The longest beginning that says something. */
    private static Optional<String> beginning(List<String> words, Lines lines) {
        for (int length = words.size() - 1; length > 0; length--) {
            List<String> meanings = lines.meanings(String.join(" ", words.subList(0, length)));
            // A number may be of what comes behind it.
            boolean isCut = words.get(length - 1).matches("\\d+");
            if (!meanings.isEmpty() && !isCut) {
                return Optional.of(meanings.getFirst());
            }
        }
        return Optional.empty();
    }

    /** With a word in another spelling that is known. */
    private static List<String> respelt(List<String> words, Lines lines) {
        Set<String> known = new LinkedHashSet<>(LANGUAGE);
        known.addAll(lines.wordsOfNames());
        List<String> mended = new ArrayList<>();
        for (int at = 0; at < words.size() && mended.size() < MOST; at++) {
            String word = Names.words(words.get(at)).stream().findFirst().orElse("");
            if (word.isEmpty() || known.contains(word)) {
                continue;
            }
            for (String like : like(word, known)) {
                List<String> line = new ArrayList<>(words);
                line.set(at, like);
                mended.addAll(lines.meanings(String.join(" ", line)));
            }
        }
        return mended;
    }

    private static int distance(String one, String other) {
        return LevenshteinDistance.getDefaultInstance().apply(one, other);
    }

    private static List<String> like(String word, Set<String> known) {
        String positive = word.replaceFirst("^(?:in|un|non-?)", "");
        Stream<String> turned =
                !positive.equals(word) && known.contains(positive) ? Stream.of("not " + positive) : Stream.of();
        Stream<String> spelt = known.stream()
                .filter(other -> word.length() >= SHORTEST_MISSPELT
                        ? !word.endsWith(other) && distance(word, other) <= (word.length() > 4 ? 2 : 1)
                        : (other.startsWith(word) && other.length() > word.length())
                                || (word.startsWith(other) && other.length() > 1))
                .sorted(Comparator.<String>comparingInt(other -> distance(word, other))
                        .thenComparing(other -> other));
        return Stream.concat(turned, spelt)
                .limit(word.length() >= SHORTEST_MISSPELT ? MOST_LIKE : MOST_BEGUN)
                .toList();
    }

    /** Without a word that says nothing here. */
    private static List<String> lessOne(List<String> words, Lines lines) {
        List<String> mended = new ArrayList<>();
        Set<String> names = lines.wordsOfNames();
        for (int at = 1; at < words.size() && mended.size() < MOST; at++) {
            String word = Names.words(words.get(at)).stream().findFirst().orElse("");
            if (!word.equals("not") && !word.equals("no") && !names.contains(word) && !LANGUAGE.contains(word)) {
                List<String> line = new ArrayList<>(words);
                line.remove(at);
                mended.addAll(lines.meanings(String.join(" ", line)));
            }
        }
        return mended;
    }
}
