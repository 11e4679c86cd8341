package dipstick.server.readings;

import dipstick.core.Outcome;
import dipstick.core.changes.Change;
import dipstick.core.changes.Changes;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.ListMember;
import dipstick.core.evaluate.Reading;
import dipstick.core.export.ReadingExport;
import dipstick.core.population.Population;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.Evaluators;
import dipstick.server.criteria.SavedSet;
import dipstick.server.practice.Today;
import dipstick.server.records.RecordsChanged;
import dipstick.server.records.View;
import dipstick.server.records.Views;
import dipstick.server.web.Problems;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeSet;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Takes readings of lists and keeps them. */
@Service
class Readings {
    private static final Logger LOG = LoggerFactory.getLogger(Readings.class);

    /** Who takes the readings that nobody asked for. */
    private static final String NOBODY = "";

    private final ReadingMapper readings;
    private final CriteriaSets sets;
    private final Evaluators evaluators;
    private final Views views;
    private final AuditLog audit;
    private final Today today;
    private final TransactionTemplate transaction;

    Readings(
            ReadingMapper readings,
            CriteriaSets sets,
            Evaluators evaluators,
            Views views,
            AuditLog audit,
            Today today,
            TransactionTemplate transaction) {
        this.readings = readings;
        this.sets = sets;
        this.evaluators = evaluators;
        this.views = views;
        this.audit = audit;
        this.today = today;
        this.transaction = transaction;
    }

    /** The newest first. */
    List<TakenReading> of(String set) {
        return readings.ofSet(sets.getInForce(set).id());
    }

    TakenReading find(String set, long id) {
        return readings.find(sets.getInForce(set).id(), id)
                .orElseThrow(() ->
                        Problems.refused(HttpStatus.NOT_FOUND, "no-such-reading", "This list has no such reading."));
    }

    List<ReadChange> changes(TakenReading reading) {
        return readings.changes(reading.id());
    }

    /** Reads a list as of today. Where nothing can have changed since the last reading, that is the one. */
    TakenReading take(String set, String who) {
        SavedSet saved = sets.getInForce(set);
        try {
            TakenReading taken = take(saved, TakenReading.Occasion.BY_HAND, who);
            audit.record(who, Act.READING_TAKEN, set + ", " + taken.id());
            return taken;
        } catch (InvalidCriteria invalid) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "invalid-criteria",
                    "This set does not fit the records any more, so it cannot be read. Open it in Criteria to see what is"
                            + " wrong.");
        }
    }

    /** After the view of the records that came is in place. */
    @EventListener
    @Order(Views.AFTER_VIEW)
    void after(RecordsChanged change) {
        if (change.people().isEmpty()) {
            return;
        }
        for (SavedSet set : sets.inForce()) {
            try {
                take(set, TakenReading.Occasion.RECORDS_CAME, NOBODY);
            } catch (InvalidCriteria noLongerFits) {
                LOG.warn("The list of {} was not read: its criteria do not fit the records any more", set.id());
            }
        }
    }

    private synchronized TakenReading take(SavedSet saved, TakenReading.Occasion occasion, String who)
            throws InvalidCriteria {
        View view = views.current();
        // As it is stored.
        Instant recordsAt = view.builtAt().truncatedTo(ChronoUnit.MILLIS);
        Evaluator evaluator = evaluators.asOf(Optional.empty());
        Optional<TakenReading> last = readings.latest(saved.id());
        if (last.filter(one -> one.version() == saved.version()
                        && one.asOf().equals(evaluator.asOf())
                        && one.recordsAt().equals(recordsAt))
                .isPresent()) {
            return last.get();
        }
        CriteriaSet set = sets.read(saved.json(), Map.of(), view.population().personFields());
        Reading reading = evaluator.read(set);
        List<ReadMember> members = evaluator.members(reading).stream()
                .map(member -> member(view.population(), member))
                .toList();
        List<ReadChange> changes = last.isPresent() ? changes(last.get(), reading, members, saved) : List.of();
        TakenReading taken = new TakenReading(
                0,
                saved.id(),
                saved.version(),
                evaluator.asOf(),
                today.now(),
                who,
                occasion,
                recordsAt,
                reading.eligible().yesCount(),
                reading.eligibleAndHas().yesCount(),
                reading.list().yesCount(),
                reading.list().unsureCount(),
                (int) changes.stream()
                        .filter(change -> change.nowIs() == Outcome.YES)
                        .count(),
                (int) changes.stream()
                        .filter(change -> change.was() == Outcome.YES)
                        .count());
        Long id = transaction.execute(_ -> {
            long inserted = readings.insert(taken);
            members.forEach(member -> readings.insertMember(inserted, member));
            changes.forEach(change -> readings.insertChange(inserted, change));
            return inserted;
        });
        return readings.find(saved.id(), id == null ? 0 : id).orElseThrow();
    }

    private static ReadMember member(Population records, ListMember member) {
        return new ReadMember(
                records.idOf(member.person()),
                member.state().word(),
                ReadingExport.dueText(member.due()),
                member.band().orElse(""));
    }

    private List<ReadChange> changes(TakenReading last, Reading reading, List<ReadMember> members, SavedSet saved)
            throws InvalidCriteria {
        Population records = reading.records();
        CriteriaSet before = sets.read(sets.published(saved.id(), last.version()), Map.of(), records.personFields());
        Evaluator now = evaluators.asOf(Optional.of(reading.asOf()));
        Changes changes = new Changes(before, last.asOf(), reading, day -> evaluators.sameRecordsAsOf(now, day));
        Map<String, Outcome> was = new HashMap<>();
        readings.members(last.id()).forEach(one -> was.put(one.person(), outcome(one)));
        TreeSet<String> people = new TreeSet<>(was.keySet());
        members.forEach(one -> people.add(one.person()));
        return people.stream()
                .flatMap(
                        id -> change(id, records.find(id), was.getOrDefault(id, Outcome.NO), changes, reading).stream())
                .toList();
    }

    private static Optional<ReadChange> change(
            String id, OptionalInt person, Outcome was, Changes changes, Reading reading) {
        if (person.isEmpty()) {
            return Optional.of(new ReadChange(id, was, Outcome.NO, Change.Cause.RECORDS, "Is not on file any more."));
        }
        Outcome is = reading.list().of(person.getAsInt());
        return changes.of(person.getAsInt(), was)
                .map(change -> new ReadChange(id, was, is, change.cause(), change.words()));
    }

    private static Outcome outcome(ReadMember member) {
        return member.state().equals(ListMember.State.ON.word()) ? Outcome.YES : Outcome.UNSURE;
    }
}
