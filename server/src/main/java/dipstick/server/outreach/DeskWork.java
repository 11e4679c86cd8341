package dipstick.server.outreach;

import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.outreach.ActMapper.ChangedEntry;
import dipstick.server.outreach.WorkDone.Refusal;
import dipstick.server.practice.Today;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import dipstick.server.together.ListsTouched;
import dipstick.server.web.Problems;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
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
class DeskWork {
    private final EntryMapper entries;
    private final ActMapper acts;
    private final ExcusalMapper excusals;
    private final Holding holding;
    private final Manners manners;
    private final Outcomes outcomes;
    private final Attempts attempts;
    private final CriteriaSets sets;
    private final Sharing sharing;
    private final Accounts accounts;
    private final SeenPeople seen;
    private final LastAct last;
    private final FirstAnswers answers;
    private final AuditLog audit;
    private final Today today;
    private final TransactionTemplate transaction;
    private final ApplicationEventPublisher events;

    DeskWork(
            EntryMapper entries,
            ActMapper acts,
            ExcusalMapper excusals,
            Holding holding,
            Manners manners,
            Outcomes outcomes,
            Attempts attempts,
            CriteriaSets sets,
            Sharing sharing,
            Accounts accounts,
            SeenPeople seen,
            LastAct last,
            FirstAnswers answers,
            AuditLog audit,
            Today today,
            TransactionTemplate transaction,
            ApplicationEventPublisher events) {
        this.entries = entries;
        this.acts = acts;
        this.excusals = excusals;
        this.holding = holding;
        this.manners = manners;
        this.outcomes = outcomes;
        this.attempts = attempts;
        this.sets = sets;
        this.sharing = sharing;
        this.accounts = accounts;
        this.seen = seen;
        this.last = last;
        this.answers = answers;
        this.audit = audit;
        this.today = today;
        this.transaction = transaction;
        this.events = events;
    }

    /**
     * Does it about each of the people, but for those with whom something is in the way. Sent again under the same name, it
     * is answered as at first and nothing more is done.
     */
    synchronized WorkDone work(String set, Work work) {
        Colleague who = accounts.here();
        Optional<WorkDone> first = answers.of(set, work, who.name());
        if (first.isPresent()) {
            return first.get();
        }
        Optional<Colleague> to =
                work.kind() == Work.Kind.GIVE ? Optional.of(receiver(set, work.to())) : Optional.empty();
        return Objects.requireNonNull(transaction.execute(_ -> {
            Doing doing = new Doing(set, work, who, to);
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
        int revision = entries.find(set, person).map(Entry::revision).orElse(0);
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
        Colleague to = accounts.open(name);
        if (!sharing.of(to, set).includes(Right.WORK)) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "cannot-work-it",
                    to.displayName() + " may not work this list. Share it with them first; nobody was given to them.");
        }
        return to;
    }

    /** One piece of work, on one person after another. */
    private final class Doing {
        private final String set;
        private final Work work;
        private final Colleague who;
        private final Optional<Colleague> to;
        private final LocalDate day = today.day();
        private final Map<String, AttemptOutcome> known = outcomes.byId();
        private final Set<String> touched = new HashSet<>();
        private final Set<String> hands = new HashSet<>();
        private final boolean mayReassign;

        Doing(String set, Work work, Colleague who, Optional<Colleague> to) {
            this.set = set;
            this.work = work;
            this.who = who;
            this.to = to;
            this.mayReassign = (work.kind() == Work.Kind.GIVE || work.kind() == Work.Kind.LET_GO)
                    && sharing.here(set).includes(Right.CHANGE);
            touched.add(set);
            hands.add(who.name());
            to.ifPresent(receiver -> hands.add(receiver.name()));
        }

        ListsTouched told(List<String> finished) {
            boolean open = work.kind() == Work.Kind.CLOSE || work.kind() == Work.Kind.REOPEN;
            return ListsTouched.worked(touched, Set.copyOf(finished), hands, open);
        }

        void about(Work.Target target) throws Refused {
            entries.lockPerson(target.person());
            Entry entry = entries.find(set, target.person())
                    .filter(one -> seen.maySee(who, one.person()))
                    .orElseThrow(() -> new Refused("This person is not on this list any more."));
            Optional<Hand> hand = acts.hand(target.person());
            refuseInOtherHands(hand);
            if (work.kind() != Work.Kind.NOTE && entry.revision() != target.revision()) {
                throw new Refused("This person was gone on with meanwhile: " + last.words(target.person())
                        + ". What you did was not saved; look at what is new.");
            }
            String handBefore = hand.map(Hand::account).orElse("");
            hand.ifPresent(one -> hands.add(one.account()));
            switch (work.kind()) {
                case TAKE -> take(entry, handBefore);
                case LET_GO -> letGo(entry, handBefore);
                case GIVE -> give(entry, handBefore);
                case ATTEMPT -> attempt(entry, handBefore);
                case NOTE -> note(entry, handBefore);
                case PLAN -> plan(entry, handBefore);
                case CLOSE -> close(entry, handBefore);
                case REOPEN -> reopen(entry, handBefore);
                case EXCUSE -> excuse(entry, handBefore);
                case BRING_BACK -> bringBack(entry, handBefore);
            }
        }

        private void refuseInOtherHands(Optional<Hand> hand) throws Refused {
            boolean free = work.kind() == Work.Kind.NOTE
                    || hand.filter(one -> !one.account().equals(who.name())).isEmpty();
            if (!free && !mayReassign) {
                Hand other = hand.orElseThrow();
                throw new Refused(accounts.displayName(other.account()) + " has this person in hand since "
                        + today.timeOf(other.since()) + ". Nothing of yours was saved.");
            }
        }

        private void take(Entry entry, String handBefore) throws Refused {
            refuseUnlessOpen(entry);
            refuseIfExcused(entry);
            if (!handBefore.equals(who.name())) {
                acts.take(new Hand(entry.person(), who.name(), today.now()));
                log(entry, DeskAct.Kind.TAKEN, "", handBefore);
            }
        }

        private void letGo(Entry entry, String handBefore) {
            if (!handBefore.isEmpty()) {
                acts.letGo(entry.person());
                log(entry, DeskAct.Kind.LET_GO, "", handBefore);
            }
        }

        private void give(Entry entry, String handBefore) throws Refused {
            refuseUnlessOpen(entry);
            refuseIfExcused(entry);
            Colleague receiver = to.orElseThrow();
            if (!seen.maySee(receiver, entry.person())) {
                throw new Refused(receiver.displayName() + " sees their own people only, and this is none of them.");
            }
            acts.take(new Hand(entry.person(), receiver.name(), today.now()));
            log(entry, DeskAct.Kind.GIVEN, "to " + receiver.displayName(), handBefore);
        }

        private void attempt(Entry entry, String handBefore) throws Refused {
            AttemptOutcome outcome = Optional.ofNullable(known.get(work.outcome()))
                    .filter(AttemptOutcome::inUse)
                    .orElseThrow(() -> new Refused("There is no outcome “" + work.outcome() + "” any more."));
            refuseIfExcused(entry);
            refuseToCheck(entry);
            List<Entry> settled = new ArrayList<>();
            if (entry.isOpen()) {
                settled.add(entry);
            }
            if (work.everywhere()) {
                entries.ofPerson(entry.person()).stream()
                        .filter(other -> other.isOpen() && !other.setId().equals(set))
                        .filter(other -> other.standing() == Entry.Standing.ON)
                        .filter(other -> sharing.here(other.setId()).includes(Right.WORK))
                        .forEach(settled::add);
            }
            DeskAct act = act(entry, DeskAct.Kind.ATTEMPT, outcome.id(), work.words(), handBefore);
            long id = acts.insert(act);
            for (Entry one : settled) {
                ContactPlan plan = manners.of(one.setId()).plan();
                int stepsDone = plan.stepsDone(outcome.effect(), one.stepsDone());
                ContactPlan.Next planned = plan.after(outcome.effect(), one.standing(), stepsDone, day);
                ContactPlan.Next next = one.setId().equals(set) && work.step() != Step.NONE
                        ? new ContactPlan.Next(work.step(), day(planned.on()))
                        : planned;
                change(id, one, one.with(Entry.State.IN_PROGRESS, next, stepsDone, day));
            }
            attempts.write(
                    id,
                    act,
                    outcome,
                    settled.stream()
                            .map(one -> sets.get(one.setId()).publishedName().replace(";", ","))
                            .toList());
            // What is sent to many is not yet a person in hand.
            if (entry.isOpen() && handBefore.isEmpty() && outcome.effect() != Effect.SENT) {
                acts.take(new Hand(entry.person(), who.name(), today.now()));
            }
        }

        private void note(Entry entry, String handBefore) throws Refused {
            if (work.words().isBlank()) {
                throw new Refused("The note is empty.");
            }
            log(entry, DeskAct.Kind.NOTE, work.words(), handBefore);
        }

        private void plan(Entry entry, String handBefore) throws Refused {
            refuseUnlessOpen(entry);
            refuseIfExcused(entry);
            if (work.step() == Step.NONE || work.day().isEmpty()) {
                throw new Refused("What is to be done next, or when, is missing.");
            }
            ContactPlan.Next next = new ContactPlan.Next(work.step(), day(day));
            long id = log(entry, DeskAct.Kind.PLANNED, Wording.next(next) + note(), handBefore);
            change(id, entry, entry.with(entry.state(), next, entry.stepsDone(), day));
        }

        private void close(Entry entry, String handBefore) throws Refused {
            refuseUnlessOpen(entry);
            long id = log(entry, DeskAct.Kind.CLOSED, work.words(), handBefore);
            change(id, entry, entry.ended(Entry.State.CLOSED, day));
            holding.endUnlessNeeded(entry.person());
        }

        private void reopen(Entry entry, String handBefore) throws Refused {
            if (entry.state() != Entry.State.CLOSED) {
                throw new Refused("Only who was closed by a colleague can be opened again.");
            }
            long id = log(entry, DeskAct.Kind.REOPENED, work.words(), handBefore);
            Step step = entry.standing() == Entry.Standing.CHECK ? Step.LOOK : Step.CALL;
            ContactPlan.Next next = new ContactPlan.Next(step, day);
            change(id, entry, entry.with(Entry.State.IN_PROGRESS, next, entry.stepsDone(), day));
        }

        private void excuse(Entry entry, String handBefore) throws Refused {
            if (work.words().isBlank()) {
                throw new Refused("A reason is missing: colleagues will want to know why.");
            }
            if (day(day).isBefore(day)) {
                throw new Refused("The day until which they are excused is over already.");
            }
            String words = excusal(entry, 0).words(who.displayName());
            excusals.insert(excusal(entry, log(entry, DeskAct.Kind.EXCUSED, words, handBefore)));
            if (work.everywhere()) {
                entries.ofPerson(entry.person()).forEach(other -> touched.add(other.setId()));
            }
            acts.letGo(entry.person());
        }

        private Excusal excusal(Entry entry, long act) {
            return new Excusal(
                    0,
                    act,
                    work.everywhere() ? "" : set,
                    entry.person(),
                    work.words(),
                    day,
                    work.day(),
                    who.name(),
                    false);
        }

        private List<Excusal> holdingNow(Entry entry) {
            return excusals.ofPerson(entry.person()).stream()
                    .filter(one -> one.isOf(set) && one.holdsOn(day))
                    .toList();
        }

        /** Who was excused is not tried until they are brought back. */
        private void refuseIfExcused(Entry entry) throws Refused {
            Optional<Excusal> excusal = holdingNow(entry).stream().findFirst();
            if (excusal.isPresent()) {
                Excusal one = excusal.get();
                throw new Refused("This person is excused: " + one.words(accounts.displayName(one.account()))
                        + ". Bring them back first; nothing was saved.");
            }
        }

        /** Who is to check is called only by who may change the list, on purpose. */
        private void refuseToCheck(Entry entry) throws Refused {
            if (entry.isOpen()
                    && entry.standing() == Entry.Standing.CHECK
                    && !sharing.here(set).includes(Right.CHANGE)) {
                throw new Refused("This person is to check, not on the list: the records do not say enough. Look at the"
                        + " record first; whoever may change the list can have them called all the same. Nothing was"
                        + " saved.");
            }
        }

        private void bringBack(Entry entry, String handBefore) throws Refused {
            List<Excusal> held = holdingNow(entry);
            if (held.isEmpty()) {
                throw new Refused("This person is not excused.");
            }
            for (Excusal one : held) {
                excusals.end(one.id());
                acts.insert(act(entry, DeskAct.Kind.BACK, String.valueOf(one.act()), work.words(), handBefore));
            }
            entries.ofPerson(entry.person()).forEach(other -> touched.add(other.setId()));
        }

        private void refuseUnlessOpen(Entry entry) throws Refused {
            if (!entry.isOpen()) {
                throw new Refused(
                        entry.state() == Entry.State.CLOSED
                                ? "This person was closed on this list. Open them again first."
                                : "This person is not on the list any more: " + entry.why());
            }
        }

        private String note() {
            return work.words().isBlank() ? "" : ": " + work.words();
        }

        /** The day that was asked for. */
        private LocalDate day(LocalDate otherwise) throws Refused {
            try {
                return work.day().isEmpty() ? otherwise : LocalDate.parse(work.day());
            } catch (DateTimeException noDay) {
                throw new Refused("There is no day " + work.day() + ".");
            }
        }

        private void change(long act, Entry before, Entry after) {
            entries.update(after);
            acts.insertChange(new ChangedEntry(
                    act,
                    before.id(),
                    before.state(),
                    before.stepsDone(),
                    before.nextStep(),
                    before.nextOn(),
                    before.changedOn(),
                    before.revision() + 1));
            touched.add(before.setId());
        }

        private long log(Entry entry, DeskAct.Kind kind, String words, String handBefore) {
            return acts.insert(act(entry, kind, "", words, handBefore));
        }

        private DeskAct act(Entry entry, DeskAct.Kind kind, String outcome, String words, String handBefore) {
            return new DeskAct(
                    0,
                    work.batch(),
                    set,
                    entry.person(),
                    who.name(),
                    today.now(),
                    day,
                    kind,
                    outcome,
                    words.strip(),
                    handBefore,
                    false);
        }
    }
}
