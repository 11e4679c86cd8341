package dipstick.server.outreach;

import dipstick.core.Outcome;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Reading;
import dipstick.core.explain.Verdict;
import dipstick.server.criteria.Evaluators;
import dipstick.server.criteria.SavedSet;
import dipstick.server.readings.ListCriteria;
import java.util.Optional;
import java.util.OptionalInt;
import org.springframework.stereotype.Component;

/** Why somebody is on a list, by the records of now. */
@Component
public class Reasons {
    private final ListCriteria criteria;
    private final Evaluators evaluators;

    Reasons(ListCriteria criteria, Evaluators evaluators) {
        this.criteria = criteria;
        this.evaluators = evaluators;
    }

    /** Whether somebody is on it; can't tell where it does not fit the records any more. */
    Outcome standing(SavedSet set, String person) {
        Evaluator evaluator = evaluators.asOf(Optional.empty());
        OptionalInt number = evaluator.population().find(person);
        return number.isEmpty()
                ? Outcome.NO
                : criteria.reading(set, evaluator)
                        .map(reading -> standing(reading, number.getAsInt()))
                        .orElse(Outcome.UNSURE);
    }

    private static Outcome standing(Reading reading, int person) {
        return reading.people().get(person) ? reading.list().of(person) : Outcome.NO;
    }

    /** The sentence that decides it; empty where the set does not fit the records any more. */
    public String why(SavedSet set, String person) {
        Evaluator evaluator = evaluators.asOf(Optional.empty());
        OptionalInt number = evaluator.population().find(person);
        return number.isEmpty()
                ? "Is not on file any more."
                : criteria.reading(set, evaluator)
                        .map(reading -> Verdict.of(evaluator, reading, number.getAsInt()))
                        .orElse("");
    }
}
