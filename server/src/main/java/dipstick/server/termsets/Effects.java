package dipstick.server.termsets;

import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Reading;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.Evaluators;
import dipstick.server.criteria.SavedSet;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** What changing a term set would do to the lists of the sets that hold it, before it is done. */
@Component
class Effects {
    private final TermSets termSets;
    private final CriteriaSets sets;
    private final Evaluators evaluators;

    Effects(TermSets termSets, CriteriaSets sets, Evaluators evaluators) {
        this.termSets = termSets;
        this.sets = sets;
        this.evaluators = evaluators;
    }

    /**
     * A set that holds the term set, and its list as it is and as it would be.
     *
     * @param published whether its list would change; what is only being changed has none yet
     */
    record Effect(String id, String name, boolean published, int on, int joined, int left) {}

    List<Effect> of(SharedTermSet old, JsonNode next) {
        Evaluator evaluator = evaluators.asOf(Optional.empty());
        List<Effect> effects = new ArrayList<>();
        for (SavedSet set : termSets.holders(old)) {
            JsonNode document = set.isPublished() ? set.json() : set.latest();
            BitSet before = list(document, evaluator);
            BitSet after = list(TermSets.withCopy(document, old, next), evaluator);
            effects.add(new Effect(
                    set.id(),
                    set.name(),
                    set.isInForce(),
                    after.cardinality(),
                    onlyIn(after, before),
                    onlyIn(before, after)));
        }
        return effects;
    }

    private BitSet list(JsonNode document, Evaluator evaluator) {
        try {
            Reading reading = evaluator.read(
                    sets.read(document, Map.of(), evaluator.population().personFields()));
            return reading.list().yes();
        } catch (InvalidCriteria unfinished) {
            return new BitSet();
        }
    }

    private static int onlyIn(BitSet one, BitSet other) {
        BitSet only = (BitSet) one.clone();
        only.andNot(other);
        return only.cardinality();
    }
}
