package dipstick.core.twice;

import dipstick.core.text.NormalText;
import java.text.Normalizer;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.apache.commons.text.similarity.JaroWinklerSimilarity;

/**
 * A name as it is held beside another: small letters without accents, in words.
 *
 * @param family its words; none where it is not on record
 * @param given its words
 */
record Name(List<String> family, List<String> given) {
    /** From here on a word of a family name may be another one written otherwise, as Jaro and Winkler measure it. */
    private static final double NEARLY = 0.9;

    /** Given names are written in more ways, such as Carl and Karl. */
    private static final double NEARLY_GIVEN = 0.8;

    private static final int LETTERS_AT_THE_FRONT = 2;

    private static final Pattern ACCENTS = Pattern.compile("\\p{M}+");
    private static final Pattern BETWEEN_WORDS = Pattern.compile("[^\\p{L}\\p{N}]+");
    private static final JaroWinklerSimilarity SIMILARITY = new JaroWinklerSimilarity();

    static Name of(String family, String given) {
        return new Name(words(family), words(given));
    }

    private static List<String> words(String name) {
        String plain = ACCENTS.matcher(Normalizer.normalize(NormalText.of(name), Normalizer.Form.NFD))
                .replaceAll("");
        return Arrays.stream(BETWEEN_WORDS.split(plain))
                .filter(word -> !word.isEmpty())
                .toList();
    }

    /** How its words begin; two names that are nearly the same have one of these in common. */
    List<String> beginnings() {
        return Stream.concat(family.stream(), given.stream())
                .map(word -> word.substring(0, Math.min(LETTERS_AT_THE_FRONT, word.length())))
                .distinct()
                .toList();
    }

    /** Both parts nearly the same, or one in the other's place. */
    boolean isNearly(Name other) {
        return (nearly(family, other.family, NEARLY) && nearlyGiven(given, other.given))
                || (nearly(family, other.given, NEARLY) && nearly(given, other.family, NEARLY));
    }

    /** A part of a double name is enough. */
    private static boolean nearly(List<String> some, List<String> others, double least) {
        return some.stream().anyMatch(one -> others.stream().anyMatch(other -> SIMILARITY.apply(one, other) >= least));
    }

    /** An initial stands for what begins with it. */
    private static boolean nearlyGiven(List<String> some, List<String> others) {
        return nearly(some, others, NEARLY_GIVEN)
                || some.stream().anyMatch(one -> others.stream().anyMatch(other -> isInitial(one, other)));
    }

    private static boolean isInitial(String one, String other) {
        return (one.length() == 1 && other.startsWith(one)) || (other.length() == 1 && one.startsWith(other));
    }
}
