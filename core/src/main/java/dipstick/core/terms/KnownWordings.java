package dipstick.core.terms;

import dipstick.core.criteria.TermSet;
import dipstick.core.text.NormalText;
import java.util.HashSet;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What a term set's records are called. */
final class KnownWordings {
    /** So much of its words a wording has to share with one that is known, to be thought of. */
    private static final double ALIKE = 0.5;

    private final Set<String> codes = new HashSet<>();
    private final Set<Set<String>> wordings = new HashSet<>();

    void add(TermSet.Member member) {
        switch (member) {
            case TermSet.Member.Code(var system, var code) -> codes.add(code);
            case TermSet.Member.Text(var text, var match) -> addWording(text);
            case TermSet.Member.Keyword(var keyword) -> addWording(keyword);
        }
    }

    void addWording(String text) {
        Set<String> words = wordsOf(text);
        if (!words.isEmpty()) {
            wordings.add(words);
        }
    }

    boolean resembles(Term term) {
        if (term.sort() == Term.Sort.CODE) {
            return codes.contains(NormalText.of(term.term()));
        }
        Set<String> words = wordsOf(NormalText.of(term.term()));
        return wordings.stream().anyMatch(wording -> alike(words, wording) >= ALIKE);
    }

    /** Shared words as a part of all of both (Jaccard's index). */
    private static double alike(Set<String> one, Set<String> other) {
        long shared = one.stream().filter(other::contains).count();
        return shared == 0 ? 0 : (double) shared / (one.size() + other.size() - shared);
    }

    /** Words that carry meaning: of three letters or more, without figures. */
    private static Set<String> wordsOf(String text) {
        return Stream.of(text.split("[^\\p{L}\\p{N}]+"))
                .filter(word -> word.length() >= 3 && word.chars().noneMatch(Character::isDigit))
                .collect(Collectors.toSet());
    }
}
