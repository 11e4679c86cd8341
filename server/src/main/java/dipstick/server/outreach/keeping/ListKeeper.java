package dipstick.server.outreach.keeping;

import dipstick.core.changes.Change;
import dipstick.core.evaluate.ListMember;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.outreach.entries.ActMapper;
import dipstick.server.outreach.entries.DeskAct;
import dipstick.server.outreach.entries.Entry;
import dipstick.server.outreach.entries.EntryMapper;
import dipstick.server.outreach.entries.Manners;
import dipstick.server.outreach.plan.ContactPlan;
import dipstick.server.outreach.plan.Standing;
import dipstick.server.practice.Today;
import dipstick.server.readings.ReadChange;
import dipstick.server.readings.ReadMember;
import dipstick.server.readings.ReadingTaken;
import dipstick.server.readings.Readings;
import dipstick.server.readings.TakenReading;
import dipstick.server.together.ListsTouched;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.boot.context.event.ApplicationStartedEvent;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Keeps lists true to their readings: who joined is to be contacted, who has it by now is done, who left for another
 * reason leaves with it. What colleagues did stays. Following a reading twice changes nothing.
 */
@Component
class ListKeeper {
    private final EntryMapper entries;
    private final ActMapper acts;
    private final Holding holding;
    private final Manners manners;
    private final Readings readings;
    private final CriteriaSets sets;
    private final Today today;
    private final TransactionTemplate transaction;
    private final ApplicationEventPublisher events;

    ListKeeper(
            EntryMapper entries,
            ActMapper acts,
            Holding holding,
            Manners manners,
            Readings readings,
            CriteriaSets sets,
            Today today,
            TransactionTemplate transaction,
            ApplicationEventPublisher events) {
        this.entries = entries;
        this.acts = acts;
        this.holding = holding;
        this.manners = manners;
        this.readings = readings;
        this.sets = sets;
        this.today = today;
        this.transaction = transaction;
        this.events = events;
    }

    @EventListener
    @Transactional(propagation = Propagation.MANDATORY)
    public void after(ReadingTaken taken) {
        follow(taken.reading(), taken.people());
    }

    /** Lists that were read before there were desks. */
    @EventListener(ApplicationStartedEvent.class)
    void followThoseThatAreBehind() {
        sets.inForce()
                .forEach(set -> readings.latest(set.id())
                        .filter(latest -> entries.followed(set.id()).orElse(0L) < latest.id())
                        .ifPresent(latest -> transaction.executeWithoutResult(_ -> follow(latest, Optional.empty()))));
    }

    /** @param people who alone may stand otherwise than before; nothing where everybody may */
    private void follow(TakenReading reading, Optional<Set<String>> people) {
        String set = reading.setId();
        Map<String, Entry> known = new HashMap<>();
        people.ifPresentOrElse(
                some -> some.forEach(person -> {
                    entries.lockPerson(person);
                    entries.find(set, person).ifPresent(entry -> known.put(person, entry));
                }),
                () -> {
                    entries.lockSet(set);
                    entries.ofSet(set).forEach(entry -> known.put(entry.person(), entry));
                });
        Map<String, ReadChange> changes = new HashMap<>();
        readings.changes(reading).forEach(change -> changes.put(change.person(), change));
        ContactPlan plan = manners.of(set).plan();
        String batch = UUID.randomUUID().toString();
        List<Entry> joined = new ArrayList<>();
        List<ReadMember> members =
                people.map(some -> readings.membersAmong(reading, some)).orElseGet(() -> readings.members(reading));
        for (ReadMember member : members) {
            Entry before = known.remove(member.person());
            if (before == null) {
                joined.add(joins(reading, member, changes, plan));
            } else {
                Entry after = stays(reading, before, member, changes, plan, batch);
                if (!after.dueOn().equals(member.dueOn()) || !after.band().equals(member.band())) {
                    entries.updateReading(after.asRead(member.dueOn(), member.band()));
                }
            }
        }
        entries.insertAll(joined);
        acts.insertAll(joined.stream()
                .map(entry -> act(reading, entry.person(), DeskAct.Kind.JOINED, entry.why(), batch))
                .toList());
        known.values().stream()
                .filter(entry -> entry.standing() != Standing.OFF)
                .forEach(entry -> leaves(reading, entry, Optional.ofNullable(changes.get(entry.person())), batch));
        entries.follow(set, reading.id());
        events.publishEvent(
                people.map(some -> ListsTouched.read(set, some)).orElseGet(() -> ListsTouched.whole(Set.of(set))));
    }

    private static Entry joins(
            TakenReading reading, ReadMember member, Map<String, ReadChange> changes, ContactPlan plan) {
        String why = why(changes, member.person(), member.why());
        Entry joined = Entry.joined(reading.setId(), member.person(), standing(member), reading.asOf(), why);
        return joined.with(joined.state(), plan.first(joined.standing(), reading.asOf()), 0, reading.asOf())
                .asRead(member.dueOn(), member.band());
    }

    private Entry stays(
            TakenReading reading,
            Entry before,
            ReadMember member,
            Map<String, ReadChange> changes,
            ContactPlan plan,
            String batch) {
        if (before.standing() == standing(member)) {
            return before;
        }
        String why = why(changes, member.person(), before.why());
        boolean back = before.standing() == Standing.OFF;
        Entry after = before.standing(standing(member), why);
        if (back) {
            after = after.rejoined(reading.asOf())
                    .with(Entry.State.TO_CONTACT, plan.first(standing(member), reading.asOf()), 0, reading.asOf());
        } else if (after.isOpen()) {
            // From one pile to the other: whoever comes onto the list joins it now.
            after = after.movedPile(reading.asOf(), plan.moved(standing(member), after.stepsDone(), reading.asOf()));
        }
        entries.update(after);
        DeskAct.Kind kind = back
                ? DeskAct.Kind.JOINED
                : standing(member) == Standing.ON ? DeskAct.Kind.NOW_ON : DeskAct.Kind.NOW_TO_CHECK;
        log(reading, member.person(), kind, why, batch);
        return after;
    }

    private void leaves(TakenReading reading, Entry entry, Optional<ReadChange> change, String batch) {
        boolean done = change.filter(one -> one.cause() == Change.Cause.DONE).isPresent();
        String why = change.map(ReadChange::words).orElse("Is not on the list any more.");
        entries.update(
                entry.standing(Standing.OFF, why).ended(done ? Entry.State.DONE : Entry.State.LEFT, reading.asOf()));
        log(reading, entry.person(), done ? DeskAct.Kind.DONE : DeskAct.Kind.LEFT, why, batch);
        holding.endUnlessNeeded(entry.person());
    }

    private static String why(Map<String, ReadChange> changes, String person, String otherwise) {
        return Optional.ofNullable(changes.get(person)).map(ReadChange::words).orElse(otherwise);
    }

    private static Standing standing(ReadMember member) {
        return member.state().equals(ListMember.State.ON.word()) ? Standing.ON : Standing.CHECK;
    }

    private void log(TakenReading reading, String person, DeskAct.Kind kind, String words, String batch) {
        acts.insert(act(reading, person, kind, words, batch));
    }

    private DeskAct act(TakenReading reading, String person, DeskAct.Kind kind, String words, String batch) {
        return new DeskAct(
                0, batch, reading.setId(), person, "", today.now(), reading.asOf(), kind, "", words, "", false);
    }
}
