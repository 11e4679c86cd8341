package dipstick.server.criteria;

import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Reading;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** Changes what sets share in every set that holds a copy, and tells before what that would do to their lists. */
@Component
public class CopiesChanged {
    private final CriteriaSets sets;
    private final CriteriaDocuments documents;
    private final CriteriaChanges changes;
    private final Evaluators evaluators;
    private final Sharing sharing;

    CopiesChanged(
            CriteriaSets sets,
            CriteriaDocuments documents,
            CriteriaChanges changes,
            Evaluators evaluators,
            Sharing sharing) {
        this.sets = sets;
        this.documents = documents;
        this.changes = changes;
        this.evaluators = evaluators;
        this.sharing = sharing;
    }

    /** The sets that hold a copy. */
    public List<SavedSet> holders(Copies copies) {
        return sets.all().stream().filter(copies::areIn).toList();
    }

    /**
     * A set that holds a copy, and its list as it is and as it would be.
     *
     * @param id empty where the set is not shared with whoever asks
     * @param published whether its list would change; what is only being changed has none yet
     */
    public record Effect(String id, String name, boolean published, int on, int joined, int left) {}

    /** What replacing the copies would do. */
    public List<Effect> effects(Copies copies, JsonNode by) {
        Evaluator evaluator = evaluators.asOf(Optional.empty());
        List<Effect> effects = new ArrayList<>();
        for (SavedSet set : holders(copies)) {
            JsonNode document = set.isPublished() ? set.json() : set.latest();
            boolean shared = sharing.here(set.id()).includes(Right.VIEW);
            Optional<Reading> before = documents.readingOf(document, evaluator);
            Optional<Reading> after = documents.readingOf(copies.replaced(document, by), evaluator);
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

    /**
     * Replaces the copies, within the transaction that is going on and holds the sets: each set that is published gets a new
     * version.
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public List<CriteriaChanges.Rewritten> replace(Copies copies, JsonNode by, String note, String who) {
        return holders(copies).stream()
                .flatMap(set -> changes.rewrite(set, document -> copies.replaced(document, by), note, who).stream())
                .toList();
    }
}
