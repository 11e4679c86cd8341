package dipstick.core.doubts;

import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.Criterion;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Reading;
import java.util.ArrayList;
import java.util.List;

/** Finds what looks wrong about a criteria set over the records that there are. */
public final class Doubts {
    private Doubts() {}

    /** In the order of the criteria; nothing about those that are switched off. */
    public static List<Doubt> of(Evaluator evaluator, Reading reading) {
        CriteriaSet set = reading.set();
        List<Doubt> found = new ArrayList<>();
        found.addAll(LackDoubts.of(reading));
        found.addAll(LevelDoubts.of(reading));
        found.addAll(PairDoubts.of(reading));
        set.criteria().filter(criterion -> !criterion.off()).forEach(criterion -> {
            found.addAll(TermDoubts.of(criterion, evaluator));
            found.addAll(WindowDoubts.of(criterion, evaluator));
            found.addAll(ValueDoubts.of(criterion, evaluator));
        });
        List<String> order = set.criteria().map(Criterion::id).toList();
        return found.stream()
                .sorted((one, other) ->
                        Integer.compare(order.indexOf(one.criterion()), order.indexOf(other.criterion())))
                .toList();
    }

    /** The same in sentences that say of which criterion they are, where no criterion stands beside. */
    public static List<String> messages(Evaluator evaluator, Reading reading) {
        return of(evaluator, reading).stream()
                .map(doubt -> reading.set()
                        .criteria()
                        .filter(criterion -> criterion.id().equals(doubt.criterion()))
                        .map(criterion -> CriterionWords.of(criterion, reading.asOf()) + ": " + doubt.message())
                        .findFirst()
                        .orElse(doubt.message()))
                .distinct()
                .toList();
    }
}
