package dipstick.server.readings;

import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Reading;
import dipstick.core.records.Fields;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.SavedSet;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** The criteria of lists: what is published, with the dials as they are turned for the list. */
@Service
public class ListCriteria {
    private final ReadingPlans plans;
    private final CriteriaSets sets;

    ListCriteria(ReadingPlans plans, CriteriaSets sets) {
        this.plans = plans;
        this.sets = sets;
    }

    /** @throws InvalidCriteria where they do not fit records with these person fields */
    public CriteriaSet of(SavedSet list, Fields fields) throws InvalidCriteria {
        return sets.read(list.json(), plans.of(list.id()).dials(), fields);
    }

    /** The criteria as they were at a reading, with the dials of then; nothing where they fit the records no more. */
    Optional<CriteriaSet> at(TakenReading reading, Fields fields) {
        try {
            return Optional.of(sets.read(
                    sets.published(reading.setId(), reading.version()), ReadingPlan.dials(reading.dials()), fields));
        } catch (InvalidCriteria fitNoMore) {
            return Optional.empty();
        }
    }

    /** The list by the records of an evaluator; nothing where the criteria do not fit them. */
    public Optional<Reading> reading(SavedSet list, Evaluator evaluator) {
        return sets.readingOf(list.json(), plans.of(list.id()).dials(), evaluator);
    }
}
