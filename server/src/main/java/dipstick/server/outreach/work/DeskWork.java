package dipstick.server.outreach.work;

import dipstick.server.accounts.Colleague;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.outreach.entries.Entry;
import dipstick.server.outreach.plan.Step;
import dipstick.server.outreach.work.WorkDone.Refusal;
import dipstick.server.sharing.Right;
import dipstick.server.web.Problems;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Does what colleagues do at the desk. One thing is done at a time, whole or not at all; whoever saw somebody as they are
 * no more is told, and nothing is overwritten.
 */
@Service
public class DeskWork {
    private final WorkTools tools;
    private final FirstAnswers answers;
    private final AuditLog audit;
    private final TransactionTemplate transaction;
    private final ApplicationEventPublisher events;

    DeskWork(
            WorkTools tools,
            FirstAnswers answers,
            AuditLog audit,
            TransactionTemplate transaction,
            ApplicationEventPublisher events) {
        this.tools = tools;
        this.answers = answers;
        this.audit = audit;
        this.transaction = transaction;
        this.events = events;
    }

    /**
     * Does it about each of the people, but for those with whom something is in the way. Sent again under the same name, it
     * is answered as at first and nothing more is done.
     */
    public synchronized WorkDone work(String set, Work work) {
        Colleague who = tools.accounts().here();
        Optional<WorkDone> first = answers.of(set, work, who.name());
        if (first.isPresent()) {
            return first.get();
        }
        Optional<Colleague> to =
                work.kind() == Work.Kind.GIVE ? Optional.of(receiver(set, work.to())) : Optional.empty();
        return Objects.requireNonNull(transaction.execute(_ -> {
            WorkOnPeople doing = new WorkOnPeople(tools, set, work, who, to);
            List<String> finished = new ArrayList<>();
            List<Refusal> refused = new ArrayList<>();
            for (Work.Target target : new LinkedHashSet<>(work.people())) {
                try {
                    doing.about(target);
                    finished.add(target.person());
                } catch (Refused refusal) {
                    refused.add(new Refusal(target.person(), refusal.why()));
                }
            }
            if (!finished.isEmpty()) {
                events.publishEvent(doing.told(finished));
                audit.record(Act.LIST_WORKED, set + ": " + work.kind() + ", " + String.join(", ", finished));
            }
            WorkDone done = new WorkDone(finished, refused);
            answers.keep(set, work, who.name(), done);
            return done;
        }));
    }

    /** Logs an attempt that was made already, whatever was seen of the person before. */
    synchronized WorkDone attempted(String set, String outcome, String person, boolean everywhere) {
        int revision = tools.entries().find(set, person).map(Entry::revision).orElse(0);
        return work(
                set,
                new Work(
                        Work.Kind.ATTEMPT,
                        UUID.randomUUID().toString(),
                        Optional.empty(),
                        List.of(new Work.Target(person, revision)),
                        outcome,
                        "",
                        Step.NONE,
                        "",
                        "",
                        everywhere));
    }

    private Colleague receiver(String set, String name) {
        Colleague to = tools.accounts().open(name);
        if (!tools.sharing().of(to, set).includes(Right.WORK)) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "cannot-work-it",
                    to.displayName() + " may not work this list. Share it with them first; nobody was given to them.");
        }
        return to;
    }
}
