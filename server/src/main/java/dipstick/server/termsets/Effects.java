package dipstick.server.termsets;

import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Reading;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.Evaluators;
import dipstick.server.criteria.SavedSet;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** What changing a term set would do to the lists of the sets that hold it, before it is done. */
@Component
class Effects {
    private final TermSets termSets;
    private final CriteriaSets sets;
    private final Evaluators evaluators;
    private final Sharing sharing;

    Effects(TermSets termSets, CriteriaSets sets, Evaluators evaluators, Sharing sharing) {
        this.termSets = termSets;
        this.sets = sets;
        this.evaluators = evaluators;
        this.sharing = sharing;
    }

    /**
     * A set that holds the term set, and its list as it is and as it would be.
     *
     * @param id empty where the set is not shared with whoever asks
     * @param published whether its list would change; what is only being changed has none yet
     */
    record Effect(String id, String name, boolean published, int on, int joined, int left) {}

    List<Effect> of(SharedTermSet old, JsonNode next) {
        Evaluator evaluator = evaluators.asOf(Optional.empty());
        List<Effect> effects = new ArrayList<>();
        for (SavedSet set : termSets.holders(old)) {
            JsonNode document = set.isPublished() ? set.json() : set.latest();
            boolean shared = sharing.here(set.id()).includes(Right.VIEW);
            Optional<Reading> before = sets.readingOf(document, evaluator);
            Optional<Reading> after = sets.readingOf(TermSets.withCopy(document, old, next), evaluator);
            effects.add(new Effect(
                    shared ? set.id() : "",
                    shared ? set.name() : "a set that is not shared with you",
                    set.isInForce(),
                    after.map(reading -> reading.list().yesCount()).orElse(0),
                    onlyAt(after, before),
                    onlyAt(before, after)));
        }
        return effects;
    }

    private static int onlyAt(Optional<Reading> one, Optional<Reading> other) {
        return one.isPresent() && other.isPresent()
                ? one.get().onListAndNotAt(other.get()).cardinality()
                : 0;
    }
}
