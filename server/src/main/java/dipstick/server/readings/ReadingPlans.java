package dipstick.server.readings;

import dipstick.core.criteria.InvalidCriteria;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.records.Views;
import dipstick.server.web.Problems;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.ErrorResponseException;

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
        boolean saved = plan.revision() == 1 ? insert(plan) : plans.update(plan.row()) == 1;
        if (!saved) {
            throw changedMeanwhile();
        }
        audit.record(Act.LIST_CHANGED, plan.setId() + ", how it is read");
    }

    private boolean insert(ReadingPlan plan) {
        try {
            return plans.insert(plan.row()) == 1;
        } catch (DuplicateKeyException another) {
            return false;
        }
    }

    private static ErrorResponseException changedMeanwhile() {
        return Problems.refused(
                HttpStatus.PRECONDITION_FAILED,
                "changed-meanwhile",
                "Somebody changed how this list is read meanwhile. Yours was not saved: look at theirs first.");
    }
}
