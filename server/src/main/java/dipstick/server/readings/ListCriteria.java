package dipstick.server.readings;

import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.Dial;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Reading;
import dipstick.core.records.RecordFields;
import dipstick.core.wording.DialWords;
import dipstick.server.criteria.CriteriaDocuments;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.SavedSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** The criteria of lists: what is published, with the dials as they are turned for the list. */
@Service
public class ListCriteria {
    private final ReadingPlans plans;
    private final CriteriaSets sets;
    private final CriteriaDocuments documents;

    ListCriteria(ReadingPlans plans, CriteriaSets sets, CriteriaDocuments documents) {
        this.plans = plans;
        this.sets = sets;
        this.documents = documents;
    }

    /** @throws InvalidCriteria where they do not fit records with these person fields */
    public CriteriaSet of(SavedSet list, RecordFields fields) throws InvalidCriteria {
        return documents.read(list.json(), plans.of(list.id()).dials(), fields);
    }

    /** The same; nothing where they do not fit. */
    public Optional<CriteriaSet> fitting(SavedSet list, RecordFields fields) {
        try {
            return Optional.of(of(list, fields));
        } catch (InvalidCriteria fitNoMore) {
            return Optional.empty();
        }
    }

    /** By name, what the dials of a list are turned to; without those that stand as the set says. */
    public Map<String, String> dialsOf(SavedSet list) {
        return plans.of(list.id()).dials();
    }

    /** The criteria with dials set for one look at the list alone; the others as they are turned for it. */
    public CriteriaSet of(SavedSet list, Map<String, String> settings, RecordFields fields) throws InvalidCriteria {
        Map<String, String> all = new HashMap<>(plans.of(list.id()).dials());
        all.putAll(settings);
        return documents.read(list.json(), all, fields);
    }

    /** What the dials of a list are set to, in words. */
    public List<DialSetting> settings(SavedSet list, CriteriaSet read, RecordFields fields) {
        Map<String, Dial.Value> defaults = new HashMap<>();
        try {
            documents
                    .read(list.json(), Map.of(), fields)
                    .dials()
                    .forEach(dial -> defaults.put(dial.name(), dial.value()));
        } catch (InvalidCriteria fitNoMore) {
            throw new IllegalStateException(
                    "The criteria of " + list.id() + " were read just now, and cannot be", fitNoMore);
        }
        return read.dials().stream()
                .map(dial -> new DialSetting(
                        dial.name(),
                        dial.label(),
                        DialWords.of(dial.value()),
                        !dial.value().equals(defaults.get(dial.name()))))
                .toList();
    }

    /** The same for the list as it is; none where its criteria do not fit the records. */
    public List<DialSetting> settings(SavedSet list, RecordFields fields) {
        return fitting(list, fields).map(read -> settings(list, read, fields)).orElse(List.of());
    }

    /** The criteria as they were at a reading, with the dials of then; nothing where they fit the records no more. */
    Optional<CriteriaSet> at(TakenReading reading, RecordFields fields) {
        try {
            return Optional.of(documents.read(
                    sets.published(reading.setId(), reading.version()), ReadingPlan.dials(reading.dials()), fields));
        } catch (InvalidCriteria fitNoMore) {
            return Optional.empty();
        }
    }

    /** The list by the records of an evaluator; nothing where the criteria do not fit them. */
    public Optional<Reading> reading(SavedSet list, Evaluator evaluator) {
        return documents.readingOf(list.json(), plans.of(list.id()).dials(), evaluator);
    }
}
