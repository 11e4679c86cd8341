package dipstick.server.outreach.work;

import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.outreach.attempts.Attempts;
import dipstick.server.outreach.attempts.Outcomes;
import dipstick.server.outreach.entries.ActMapper;
import dipstick.server.outreach.entries.ActMapper.ChangedEntry;
import dipstick.server.outreach.entries.DeskAct;
import dipstick.server.outreach.entries.Entry;
import dipstick.server.outreach.entries.EntryMapper;
import dipstick.server.outreach.entries.Hand;
import dipstick.server.outreach.excused.ExcusalMapper;
import dipstick.server.outreach.work.WorkDone.Refusal;
import dipstick.server.practice.Today;
import dipstick.server.together.ListsTouched;
import dipstick.server.web.Problems;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes back what somebody did at the desk, unless it was gone on from there. */
@Service
public class DeskUndo {
    private final EntryMapper entries;
    private final ActMapper acts;
    private final ExcusalMapper excusals;
    private final Outcomes outcomes;
    private final Attempts attempts;
    private final Accounts accounts;
    private final LastAct last;
    private final AuditLog audit;
    private final Today today;
    private final ApplicationEventPublisher events;

    DeskUndo(
            EntryMapper entries,
            ActMapper acts,
            ExcusalMapper excusals,
            Outcomes outcomes,
            Attempts attempts,
            Accounts accounts,
            LastAct last,
            AuditLog audit,
            Today today,
            ApplicationEventPublisher events) {
        this.entries = entries;
        this.acts = acts;
        this.excusals = excusals;
        this.outcomes = outcomes;
        this.attempts = attempts;
        this.accounts = accounts;
        this.last = last;
        this.audit = audit;
        this.today = today;
        this.events = events;
    }

    /** Takes back what whoever is signed in did at once, of each of the people with whom nobody went on. */
    @Transactional
    public WorkDone undo(String set, String batch) {
        Colleague who = accounts.here();
        List<DeskAct> done = acts.ofBatch(batch).stream()
                .filter(act -> act.setId().equals(set) && act.account().equals(who.name()) && !act.undone())
                .toList();
        if (done.isEmpty()) {
            throw Problems.refused(
                    HttpStatus.CONFLICT, "nothing-to-undo", "There is nothing of yours to undo any more.");
        }
        List<String> finished = new ArrayList<>();
        List<Refusal> refused = new ArrayList<>();
        Set<String> touched = new HashSet<>(Set.of(set));
        for (DeskAct act : done) {
            try {
                undo(act, touched);
                finished.add(act.person());
            } catch (Refused refusal) {
                refused.add(new Refusal(act.person(), refusal.why()));
            }
        }
        events.publishEvent(ListsTouched.worked(
                touched,
                Set.copyOf(finished),
                Stream.concat(Stream.of(who.name()), done.stream().map(DeskAct::handBefore))
                        .collect(Collectors.toSet()),
                true));
        audit.record(Act.LIST_WORKED, set + ": undone, " + String.join(", ", finished));
        return new WorkDone(finished, refused);
    }

    private void undo(DeskAct act, Set<String> touched) throws Refused {
        entries.lockPerson(act.person());
        List<ChangedEntry> changes = acts.changes(act.id());
        refuseIfGoneOn(act, changes);
        for (ChangedEntry change : changes) {
            Entry entry = entries.get(change.entry());
            touched.add(entry.setId());
            entries.update(entry.with(
                    change.state(), change.stepsDone(), change.nextStep(), change.nextOn(), change.changedOn()));
            acts.isLastAgain(entry.id(), change.revision() - 1, entry.revision() + 1);
        }
        switch (act.kind()) {
            case EXCUSED -> excusals.ofAct(act.id()).forEach(one -> excusals.end(one.id()));
            case BACK -> excusals.ofAct(Long.parseLong(act.outcome())).forEach(one -> excusals.resume(one.id()));
            case ATTEMPT -> attempts.strike(act, outcomes.byId().get(act.outcome()));
            default -> {
                // Nothing but the entries and the hand was changed.
            }
        }
        if (act.handBefore().isEmpty()) {
            acts.letGo(act.person());
        } else {
            acts.take(new Hand(act.person(), act.handBefore(), today.now()));
        }
        acts.undo(act.id());
    }

    private void refuseIfGoneOn(DeskAct act, List<ChangedEntry> changes) throws Refused {
        boolean entryChanged =
                changes.stream().anyMatch(change -> entries.get(change.entry()).revision() != change.revision());
        boolean handChanged = acts.ofPerson(act.person()).stream()
                .anyMatch(later -> later.id() > act.id()
                        && !later.undone()
                        && !later.batch().equals(act.batch())
                        && later.kind().mayMoveHands());
        if (entryChanged || handChanged) {
            throw new Refused("This went on meanwhile, so it was not undone: " + last.words(act.person()));
        }
    }
}
