package dipstick.server.outreach.attempts;

import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.outreach.entries.ActMapper;
import dipstick.server.outreach.entries.AttemptOutcome;
import dipstick.server.web.Problems;
import dipstick.server.web.Revisions;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The outcomes that an attempt can have: those that come with the product, and the practice's own. */
@Service
public class Outcomes {
    private static final String THING = "outcomes";

    private final ActMapper acts;
    private final Revisions revisions;
    private final AuditLog audit;
    private final ApplicationEventPublisher events;

    Outcomes(ActMapper acts, Revisions revisions, AuditLog audit, ApplicationEventPublisher events) {
        this.acts = acts;
        this.revisions = revisions;
        this.audit = audit;
        this.events = events;
    }

    /** Those that are not offered any more too. */
    public List<AttemptOutcome> all() {
        return acts.outcomes();
    }

    public Map<String, AttemptOutcome> byId() {
        return all().stream().collect(Collectors.toMap(AttemptOutcome::id, Function.identity()));
    }

    /** How often they were changed. */
    int revision() {
        return revisions.of(THING);
    }

    /** Makes these the ones that are offered, in this order. What was logged keeps the others. */
    @Transactional
    void offer(List<AttemptOutcome> wanted, int seen) {
        revisions.next(THING, seen, "the outcomes");
        if (wanted.stream().map(AttemptOutcome::id).distinct().count() < wanted.size()) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT, "twice", "Two outcomes have the same name. Nothing was saved.");
        }
        Map<String, AttemptOutcome> known = byId();
        List<AttemptOutcome> all = new ArrayList<>(wanted);
        known.values().stream()
                .filter(one -> wanted.stream().noneMatch(other -> other.id().equals(one.id())))
                .forEach(one -> all.add(new AttemptOutcome(one.id(), one.name(), one.effect(), one.place(), false)));
        for (AttemptOutcome outcome : all) {
            if (known.containsKey(outcome.id())) {
                acts.updateOutcome(outcome);
            } else {
                acts.insertOutcome(outcome);
            }
        }
        audit.record(Act.LIST_CHANGED, "the outcomes of attempts");
        events.publishEvent(new OutcomesOffered());
    }
}
