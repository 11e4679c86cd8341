package dipstick.server.readings;

import dipstick.core.criteria.InvalidCriteria;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.records.Views;
import dipstick.server.web.Problems;
import dipstick.server.web.Revision;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** When each list is read by itself, and with which dials. */
@Service
class ReadingPlans {
    private final ReadingPlanMapper plans;
    private final CriteriaSets sets;
    private final Views views;
    private final AuditLog audit;

    ReadingPlans(ReadingPlanMapper plans, CriteriaSets sets, Views views, AuditLog audit) {
        this.plans = plans;
        this.sets = sets;
        this.views = views;
        this.audit = audit;
    }

    ReadingPlan of(String set) {
        return plans.find(set).map(ReadingPlan.Row::plan).orElseGet(() -> ReadingPlan.first(set));
    }

    /** Saves a plan that was made of the one at the revision before. */
    @Transactional
    void save(ReadingPlan plan) {
        try {
            sets.read(
                    sets.getInForce(plan.setId()).json(),
                    plan.dials(),
                    views.current().population().personFields());
        } catch (InvalidCriteria misfit) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "invalid-dials",
                    "The list cannot be read with its dials turned so: "
                            + misfit.problems().values().stream()
                                    .flatMap(problems -> problems.stream())
                                    .findFirst()
                                    .map(problem -> problem.message())
                                    .orElse("they do not fit")
                            + ". Nothing was saved.");
        }
        Revision.save(
                plan.revision() == 1,
                () -> plans.insert(plan.row()),
                () -> plans.update(plan.row()),
                "how this list is read");
        audit.record(Act.LIST_CHANGED, plan.setId() + ", how it is read");
    }
}
