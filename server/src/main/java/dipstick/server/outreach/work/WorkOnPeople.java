package dipstick.server.outreach.work;

import dipstick.server.accounts.Colleague;
import dipstick.server.outreach.entries.ActMapper.ChangedEntry;
import dipstick.server.outreach.entries.AttemptOutcome;
import dipstick.server.outreach.entries.DeskAct;
import dipstick.server.outreach.entries.Entry;
import dipstick.server.outreach.entries.Hand;
import dipstick.server.outreach.entries.Wording;
import dipstick.server.outreach.excused.Excusal;
import dipstick.server.outreach.plan.ContactPlan;
import dipstick.server.outreach.plan.Effect;
import dipstick.server.outreach.plan.Standing;
import dipstick.server.outreach.plan.Step;
import dipstick.server.sharing.Right;
import dipstick.server.together.ListsTouched;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** One piece of work, on one person after another. */
final class WorkOnPeople {
    private final WorkTools tools;
    private final String set;
    private final Work work;
    private final Colleague who;
    private final Optional<Colleague> to;
    private final LocalDate day;
    private final Map<String, AttemptOutcome> known;
    private final Set<String> touched = new HashSet<>();
    private final Set<String> hands = new HashSet<>();
    private final boolean mayReassign;

    WorkOnPeople(WorkTools tools, String set, Work work, Colleague who, Optional<Colleague> to) {
        this.tools = tools;
        this.day = tools.today().day();
        this.known = tools.outcomes().byId();
        this.set = set;
        this.work = work;
        this.who = who;
        this.to = to;
        this.mayReassign = (work.kind() == Work.Kind.GIVE || work.kind() == Work.Kind.LET_GO)
                && tools.sharing().here(set).includes(Right.CHANGE);
        touched.add(set);
        hands.add(who.name());
        to.ifPresent(receiver -> hands.add(receiver.name()));
    }

    ListsTouched told(List<String> finished) {
        boolean open = work.kind() == Work.Kind.CLOSE || work.kind() == Work.Kind.REOPEN;
        return ListsTouched.worked(touched, Set.copyOf(finished), hands, open);
    }

    void about(Work.Target target) throws Refused {
        tools.entries().lockPerson(target.person());
        Entry entry = tools.entries()
                .find(set, target.person())
                .filter(one -> tools.seen().maySee(who, one.person()))
                .orElseThrow(() -> new Refused("This person is not on this list any more."));
        Optional<Hand> hand = tools.acts().hand(target.person());
        refuseInOtherHands(hand);
        if (work.kind() != Work.Kind.NOTE && entry.revision() != target.revision()) {
            throw new Refused("This person was gone on with meanwhile: "
                    + tools.last().words(target.person()) + ". What you did was not saved; look at what is new.");
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
            throw new Refused(tools.accounts().displayName(other.account()) + " has this person in hand since "
                    + tools.today().timeOf(other.since()) + ". Nothing of yours was saved.");
        }
    }

    private void take(Entry entry, String handBefore) throws Refused {
        refuseUnlessOpen(entry);
        refuseIfExcused(entry);
        if (!handBefore.equals(who.name())) {
            tools.acts().take(new Hand(entry.person(), who.name(), tools.today().now()));
            log(entry, DeskAct.Kind.TAKEN, "", handBefore);
        }
    }

    private void letGo(Entry entry, String handBefore) {
        if (!handBefore.isEmpty()) {
            tools.acts().letGo(entry.person());
            log(entry, DeskAct.Kind.LET_GO, "", handBefore);
        }
    }

    private void give(Entry entry, String handBefore) throws Refused {
        refuseUnlessOpen(entry);
        refuseIfExcused(entry);
        Colleague receiver = to.orElseThrow();
        if (!tools.seen().maySee(receiver, entry.person())) {
            throw new Refused(receiver.displayName() + " sees their own people only, and this is none of them.");
        }
        tools.acts()
                .take(new Hand(entry.person(), receiver.name(), tools.today().now()));
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
            tools.entries().ofPerson(entry.person()).stream()
                    .filter(other -> other.isOpen() && !other.setId().equals(set))
                    .filter(other -> other.standing() == Standing.ON)
                    .filter(other -> tools.sharing().here(other.setId()).includes(Right.WORK))
                    .forEach(settled::add);
        }
        DeskAct act = act(entry, DeskAct.Kind.ATTEMPT, outcome.id(), work.words(), handBefore);
        long id = tools.acts().insert(act);
        for (Entry one : settled) {
            ContactPlan plan = tools.manners().of(one.setId()).plan();
            int stepsDone = plan.stepsDone(outcome.effect(), one.stepsDone());
            ContactPlan.Next planned = plan.after(outcome.effect(), one.standing(), stepsDone, day);
            ContactPlan.Next next = one.setId().equals(set) && work.step() != Step.NONE
                    ? new ContactPlan.Next(work.step(), day(planned.on()))
                    : planned;
            change(id, one, one.with(Entry.State.IN_PROGRESS, next, stepsDone, day));
        }
        tools.attempts()
                .write(
                        id,
                        act,
                        outcome,
                        settled.stream()
                                .map(one -> tools.sets()
                                        .get(one.setId())
                                        .publishedName()
                                        .replace(";", ","))
                                .toList());
        // What is sent to many is not yet a person in hand.
        if (entry.isOpen() && handBefore.isEmpty() && outcome.effect() != Effect.SENT) {
            tools.acts().take(new Hand(entry.person(), who.name(), tools.today().now()));
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
        tools.holding().endUnlessNeeded(entry.person());
    }

    private void reopen(Entry entry, String handBefore) throws Refused {
        if (entry.state() != Entry.State.CLOSED) {
            throw new Refused("Only who was closed by a colleague can be opened again.");
        }
        long id = log(entry, DeskAct.Kind.REOPENED, work.words(), handBefore);
        Step step = entry.standing() == Standing.CHECK ? Step.LOOK : Step.CALL;
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
        tools.excusals().insert(excusal(entry, log(entry, DeskAct.Kind.EXCUSED, words, handBefore)));
        if (work.everywhere()) {
            tools.entries().ofPerson(entry.person()).forEach(other -> touched.add(other.setId()));
        }
        tools.acts().letGo(entry.person());
    }

    private Excusal excusal(Entry entry, long act) {
        return new Excusal(
                0, act, work.everywhere() ? "" : set, entry.person(), work.words(), day, work.day(), who.name(), false);
    }

    private List<Excusal> holdingNow(Entry entry) {
        return tools.excusals().ofPerson(entry.person()).stream()
                .filter(one -> one.holds(set, day))
                .toList();
    }

    /** Who was excused is not tried until they are brought back. */
    private void refuseIfExcused(Entry entry) throws Refused {
        Optional<Excusal> excusal = holdingNow(entry).stream().findFirst();
        if (excusal.isPresent()) {
            Excusal one = excusal.get();
            throw new Refused(
                    "This person is excused: " + one.words(tools.accounts().displayName(one.account()))
                            + ". Bring them back first; nothing was saved.");
        }
    }

    /** Who is to check is called only by who may change the list, on purpose. */
    private void refuseToCheck(Entry entry) throws Refused {
        if (entry.isOpen()
                && entry.standing() == Standing.CHECK
                && !tools.sharing().here(set).includes(Right.CHANGE)) {
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
            tools.excusals().end(one.id());
            tools.acts().insert(act(entry, DeskAct.Kind.BACK, String.valueOf(one.act()), work.words(), handBefore));
        }
        tools.entries().ofPerson(entry.person()).forEach(other -> touched.add(other.setId()));
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
        tools.entries().update(after);
        tools.acts()
                .insertChange(new ChangedEntry(
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
        return tools.acts().insert(act(entry, kind, "", words, handBefore));
    }

    private DeskAct act(Entry entry, DeskAct.Kind kind, String outcome, String words, String handBefore) {
        return new DeskAct(
                0,
                work.batch(),
                set,
                entry.person(),
                who.name(),
                tools.today().now(),
                day,
                kind,
                outcome,
                words.strip(),
                handBefore,
                false);
    }
}
