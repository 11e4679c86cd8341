package dipstick.bench;

import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.Selection;
import dipstick.core.criteria.TermSet;
import dipstick.core.criteria.Test;
import dipstick.core.population.Concepts;
import dipstick.core.population.Population;
import java.util.List;
import java.util.Optional;

/** The bytes of event columns that the engine reads for a criteria set: the stretches of rows that are worth asking. */
final class Touched {
    private static final int OWNER = 4;
    private static final int DATE = 2;
    private static final int FIELD = 1;

    private Touched() {}

    static long bytes(CriteriaSet set, Population population) {
        return set.criteria()
                .flatMap(criterion -> selections(criterion.test()).stream())
                .mapToLong(selection -> bytes(selection, population))
                .sum();
    }

    private static List<Selection> selections(Test test) {
        return switch (test) {
            case Test.Events events -> List.of(events.events());
            case Test.Pick pick -> List.of(pick.events());
            case Test.Sequence sequence -> List.of(sequence.anchor(), sequence.expect());
            default -> List.of();
        };
    }

    private static long bytes(Selection selection, Population population) {
        Concepts concepts = population.events().concepts();
        long rows = 0;
        for (int concept = 0; concept < concepts.count(); concept++) {
            if (isMeant(selection, concept, population)) {
                rows += concepts.events(concept);
            }
        }
        long fields = selection.where().stream()
                        .filter(test -> !test.field().name().equals("code"))
                        .count()
                + (selection.active() ? 1 : 0);
        return rows * (OWNER + DATE + fields * FIELD);
    }

    private static boolean isMeant(Selection selection, int concept, Population population) {
        Concepts concepts = population.events().concepts();
        String kind = population.events().kind().compared().get(concepts.kind(concept));
        String code = population.events().code().compared().get(concepts.code(concept));
        Optional<Boolean> ofKind = selection
                .kinds()
                .map(kinds -> kinds.stream().anyMatch(k -> k.compared().equals(kind)));
        Optional<Boolean> ofTerms = selection
                .terms()
                .map(sets -> sets.stream()
                        .flatMap(terms -> terms.members().stream())
                        .anyMatch(member -> member instanceof TermSet.Member.Code(var any, var of) && of.equals(code)));
        return ofKind.orElse(true) && ofTerms.orElse(true);
    }
}
