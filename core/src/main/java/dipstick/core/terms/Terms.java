package dipstick.core.terms;

import dipstick.core.criteria.TermSet;
import dipstick.core.evaluate.TermMatcher;
import dipstick.core.population.Codes;
import dipstick.core.population.Concepts;
import dipstick.core.population.Events;
import dipstick.core.text.NormalText;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import java.util.stream.Stream;

/** Finds the codes, wordings and keywords that occur in the records. */
public final class Terms {
    private static final int MOST = 60;

    private Terms() {}

    /** Those whose words hold what is looked for, and codes recorded with such a wording; most frequent first. */
    public static List<FoundTerm> find(Events events, String words) {
        return find(events, words, _ -> true);
    }

    /** @param among the concepts whose terms are looked at */
    public static List<FoundTerm> find(Events events, String words, Predicate<Integer> among) {
        String wanted = NormalText.of(words);
        BitSet texts = new BitSet();
        for (int text = 1; text < events.text().codeCount(); text++) {
            texts.set(text, events.text().compared().get(text).contains(wanted));
        }
        ConceptsOfTerms concepts = new ConceptsOfTerms(events, among);
        return found(
                events,
                concepts,
                term -> NormalText.of(term.term()).contains(wanted)
                        || (term.sort() == Term.Sort.CODE
                                && concepts.byTerm().get(term).stream()
                                        .anyMatch(concept ->
                                                texts.get(events.concepts().text(concept)))));
    }

    /**
     * Wordings of records that are not in a term set, but are worded like those that are; and its codes in systems that
     * it does not name. The most frequent first.
     *
     * @param leftOut members that were looked at and do not belong
     */
    public static List<FoundTerm> resembling(Events events, TermSet set, List<TermSet.Member> leftOut) {
        Concepts concepts = events.concepts();
        TermMatcher inside = new TermMatcher(List.of(set), events);
        TermMatcher outside = new TermMatcher(leftOut.stream(), events);
        KnownWordings known = new KnownWordings();
        set.members().forEach(known::add);
        // What has a keyword may be worded like anything: a letter is called just that.
        TermMatcher named =
                new TermMatcher(set.members().stream().filter(one -> !(one instanceof TermSet.Member.Keyword)), events);
        for (int concept = 0; concept < concepts.count(); concept++) {
            int text = concepts.text(concept);
            if (text != Codes.MISSING && named.matches(concept)) {
                known.addWording(events.text().compared().get(text));
            }
        }
        ConceptsOfTerms others =
                new ConceptsOfTerms(events, concept -> !inside.matches(concept) && !outside.matches(concept));
        return found(events, others, known::resembles);
    }

    /** @param total how many there are; only the most frequent are given */
    public record Outside(int total, List<FoundTerm> first) {
        public Outside {
            first = List.copyOf(first);
        }
    }

    /** Codes, and wordings that have no code, by whose records none of the term sets is meant; most frequent first. */
    public static Outside outside(Events events, List<TermSet> termSets) {
        TermMatcher inside = new TermMatcher(termSets, events);
        Concepts all = events.concepts();
        ConceptsOfTerms coded =
                new ConceptsOfTerms(events, concept -> !inside.matches(concept) && all.code(concept) != Codes.MISSING);
        ConceptsOfTerms worded =
                new ConceptsOfTerms(events, concept -> !inside.matches(concept) && all.code(concept) == Codes.MISSING);
        List<FoundTerm> first = Stream.concat(
                        found(events, coded, term -> term.sort() == Term.Sort.CODE).stream(),
                        found(events, worded, term -> term.sort() == Term.Sort.TEXT).stream())
                .sorted(Comparator.comparingInt(FoundTerm::records).reversed())
                .limit(MOST)
                .toList();
        return new Outside(count(coded, Term.Sort.CODE) + count(worded, Term.Sort.TEXT), first);
    }

    private static int count(ConceptsOfTerms concepts, Term.Sort sort) {
        return (int) concepts.byTerm().keySet().stream()
                .filter(term -> term.sort() == sort)
                .count();
    }

    private static List<FoundTerm> found(Events events, ConceptsOfTerms concepts, Predicate<Term> which) {
        Facts facts = new Facts(events);
        return concepts.byTerm().entrySet().stream()
                .filter(entry -> which.test(entry.getKey()))
                .sorted(Comparator.comparingInt(
                                (Map.Entry<Term, List<Integer>> entry) -> concepts.records(entry.getValue()))
                        .reversed())
                .limit(MOST)
                .map(entry ->
                        facts.of(entry.getKey(), concepts.says(entry.getKey(), entry.getValue()), entry.getValue()))
                .toList();
    }
}
