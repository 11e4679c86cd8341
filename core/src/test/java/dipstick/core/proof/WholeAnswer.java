package dipstick.core.proof;

import dipstick.core.Records;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.LevelCounts;
import dipstick.core.evaluate.Reading;
import dipstick.core.export.ReadingExport;
import dipstick.core.population.Population;
import java.time.LocalDate;
import java.util.List;
import tools.jackson.databind.node.ObjectNode;

/** All that a set says of a population, to compare it with what it says of another. */
final class WholeAnswer {
    private WholeAnswer() {}

    /** @param sets the set, and the sets that it may name */
    static String of(List<ObjectNode> sets, Population population, LocalDate asOf) {
        return of(Records.sets(population, sets), new Evaluator(population, asOf));
    }

    static String of(CriteriaSet set, Evaluator evaluator) {
        Reading reading = evaluator.read(set);
        return LevelCounts.of(reading) + ReadingExport.csv(reading, evaluator.members(reading));
    }
}
