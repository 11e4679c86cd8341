package dipstick.core.terms;

import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.population.Concepts;
import dipstick.core.population.Events;
import dipstick.core.text.NormalText;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;

/** Which concepts are recorded under which term. A concept with a code and a wording stands under both. */
final class ConceptsOfTerms {
    private final Events events;
    private final Map<Term, List<Integer>> byTerm = new LinkedHashMap<>();

    /** @param among the concepts that are looked at */
    ConceptsOfTerms(Events events, Predicate<Integer> among) {
        this.events = events;
        Concepts concepts = events.concepts();
        for (int concept = 0; concept < concepts.count(); concept++) {
            if (concepts.events(concept) > 0 && among.test(concept)) {
                add(concept);
            }
        }
    }

    private void add(int concept) {
        Concepts concepts = events.concepts();
        int code = concepts.code(concept);
        if (code != Codes.MISSING) {
            String system = events.system().written().get(concepts.system(concept));
            put(new Term(Term.Sort.CODE, events.code().written().get(code), system), concept);
        }
        events.alsoCoded().sets().get(concepts.codings(concept)).stream()
                .map(coding -> new Term(Term.Sort.CODE, spellingOf(coding.code()), systemOf(coding.system())))
                .distinct()
                .filter(further -> !byTerm.getOrDefault(further, List.of()).contains(concept))
                .forEach(further -> put(further, concept));
        int text = concepts.text(concept);
        if (text != Codes.MISSING) {
            put(new Term(Term.Sort.TEXT, events.text().written().get(text), ""), concept);
        }
        int keywords = concepts.keywords(concept);
        if (keywords != Codes.MISSING) {
            Column.OfTexts column = events.keywords();
            column.sets().get(keywords).stream()
                    .distinct()
                    .forEach(word ->
                            put(new Term(Term.Sort.KEYWORD, column.words().get(word), ""), concept));
        }
    }

    /** As it is mostly written as a first code, so that both are one term; as it stands where it never is one. */
    private String spellingOf(String code) {
        return spelling(events.code(), code);
    }

    private String systemOf(String system) {
        return system.isEmpty() ? "" : spelling(events.system(), system);
    }

    private static String spelling(Column.OfText column, String written) {
        Integer known = column.codeOf().get(NormalText.of(written));
        return known == null ? written : column.written().get(known);
    }

    private void put(Term term, int concept) {
        byTerm.computeIfAbsent(term, _ -> new ArrayList<>()).add(concept);
    }

    Map<Term, List<Integer>> byTerm() {
        return byTerm;
    }

    int records(List<Integer> concepts) {
        return concepts.stream().mapToInt(events.concepts()::events).sum();
    }

    /** The wording that most of the records have; the term itself where none has one. */
    String says(Term term, List<Integer> concepts) {
        if (term.sort() != Term.Sort.CODE) {
            return term.term();
        }
        Map<Integer, Integer> counts = new HashMap<>();
        concepts.forEach(concept ->
                counts.merge(events.concepts().text(concept), events.concepts().events(concept), Integer::sum));
        return counts.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .map(most -> events.text().written().get(most.getKey()))
                .orElse(term.term());
    }
}
