package dipstick.server.readings;

import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.Dial;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.doubts.Doubt;
import dipstick.core.doubts.Doubts;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Reading;
import dipstick.core.population.Column;
import dipstick.core.population.Population;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.criteria.CriteriaDocuments;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.Evaluators;
import dipstick.server.records.ValueCounts;
import dipstick.server.records.ValueCounts.ValueCount;
import dipstick.server.records.Views;
import dipstick.server.web.Problems;
import dipstick.server.web.Revision;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** When each list is read by itself, and with which dials. */
@Service
class ReadingPlans {
    /** More are found by typing. */
    private static final int MOST_VALUES = 200;

    private final ReadingPlanMapper plans;
    private final CriteriaSets sets;
    private final CriteriaDocuments documents;
    private final Views views;
    private final Evaluators evaluators;
    private final AuditLog audit;
    private final ApplicationEventPublisher events;

    ReadingPlans(
            ReadingPlanMapper plans,
            CriteriaSets sets,
            CriteriaDocuments documents,
            Views views,
            Evaluators evaluators,
            AuditLog audit,
            ApplicationEventPublisher events) {
        this.plans = plans;
        this.sets = sets;
        this.documents = documents;
        this.views = views;
        this.evaluators = evaluators;
        this.audit = audit;
        this.events = events;
    }

    ReadingPlan of(String set) {
        return plans.find(set).map(ReadingPlan.Row::plan).orElseGet(() -> ReadingPlan.first(set));
    }

    /** Saves a plan that was made of the one at the revision before. */
    @Transactional
    void save(ReadingPlan plan) {
        read(plan.setId(), plan.dials());
        boolean turned = !of(plan.setId()).dials().equals(plan.dials());
        Revision.save(
                plan.revision() == 1,
                () -> plans.insert(plan.row()),
                () -> plans.update(plan.row()),
                "how this list is read");
        audit.record(Act.LIST_CHANGED, plan.setId() + ", how it is read");
        if (turned) {
            events.publishEvent(new DialsTurned(plan.setId()));
        }
    }

    private CriteriaSet read(String set, Map<String, String> dials) {
        try {
            return documents.read(
                    sets.getInForce(set).json(),
                    dials,
                    views.current().population().fields());
        } catch (InvalidCriteria misfit) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "invalid-dials",
                    "The list cannot be read with its dials turned so: " + misfit.first() + " Nothing was saved.");
        }
    }

    /** The values on record that a list's dials may be set to, with how many people have each. */
    Map<String, List<ValueCount>> values(String set) {
        Population records = views.current().population();
        Map<String, List<ValueCount>> values = new LinkedHashMap<>();
        for (Dial dial : read(set, Map.of()).dials()) {
            dial.choicesFrom()
                    .flatMap(records.personFields()::find)
                    .map(records::column)
                    .filter(Column.OfText.class::isInstance)
                    .ifPresent(column -> values.put(
                            dial.name(),
                            ValueCounts.of((Column.OfText) column).stream()
                                    .limit(MOST_VALUES)
                                    .toList()));
        }
        return values;
    }

    /** What a list would be with its dials turned so, beside what it is now. */
    ReadingPlanController.Tried tried(String set, Map<String, String> dials) {
        Evaluator evaluator = evaluators.asOf(Optional.empty());
        Reading then = evaluator.read(read(set, dials));
        Reading now = evaluator.read(read(set, of(set).dials()));
        return new ReadingPlanController.Tried(
                then.list().yesCount(),
                then.list().unsureCount(),
                now.list().yesCount(),
                now.list().unsureCount(),
                Doubts.of(evaluator, then).stream()
                        .filter(doubt -> doubt.kind() == Doubt.Kind.OUTSIDE_RECORDS)
                        .map(Doubt::message)
                        .distinct()
                        .toList());
    }
}
