package dipstick.server.readings;

import dipstick.core.Outcome;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.criteria.MemberReferences;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.LevelCounts;
import dipstick.core.evaluate.Reading;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.Evaluators;
import dipstick.server.criteria.ListsOutdated;
import dipstick.server.criteria.SavedSet;
import dipstick.server.practice.Today;
import dipstick.server.records.RecordsChanged;
import dipstick.server.records.View;
import dipstick.server.records.Views;
import dipstick.server.web.Problems;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;

/** Takes readings of lists: when somebody asks, when records or criteria change, and when their time has come. */
@Service
public class TakingReadings {
    private static final Logger LOG = LoggerFactory.getLogger(TakingReadings.class);

    /** Who takes the readings that nobody asked for. */
    private static final String NOBODY = "";

    private static final JsonMapper JSON = JsonMapper.shared();

    private final ReadingMapper rows;
    private final Readings readings;
    private final ReadingPlans plans;
    private final ListCriteria criteria;
    private final WhyChanged whyChanged;
    private final LastRead lastRead;
    private final CriteriaSets sets;
    private final Evaluators evaluators;
    private final Views views;
    private final AuditLog audit;
    private final Today today;
    private final TransactionTemplate transaction;
    private final ApplicationEventPublisher events;
    /** Lists whose reading failed and is still to be taken. */
    private final Set<String> missed = ConcurrentHashMap.newKeySet();

    TakingReadings(
            ReadingMapper rows,
            Readings readings,
            ReadingPlans plans,
            ListCriteria criteria,
            WhyChanged whyChanged,
            LastRead lastRead,
            CriteriaSets sets,
            Evaluators evaluators,
            Views views,
            AuditLog audit,
            Today today,
            PlatformTransactionManager transactions,
            ApplicationEventPublisher events) {
        this.rows = rows;
        this.readings = readings;
        this.plans = plans;
        this.criteria = criteria;
        this.whyChanged = whyChanged;
        this.lastRead = lastRead;
        this.sets = sets;
        this.evaluators = evaluators;
        this.views = views;
        this.audit = audit;
        this.today = today;
        this.transaction = new TransactionTemplate(transactions);
        // Also where another one has just been committed, whose end would be taken for that of a reading.
        this.transaction.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        this.events = events;
    }

    /** Reads a list as of today. Where nothing can have changed since the last reading, that is the one. */
    TakenReading take(String set, String who) {
        SavedSet saved = sets.getInForce(set);
        try {
            TakenReading taken = take(saved, TakenReading.Occasion.BY_HAND, who, false);
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

    @EventListener
    void after(RecordsChanged change) {
        if (!change.people().isEmpty() && change.broughtIn()) {
            sets.inForce().forEach(set -> takeByItself(set, TakenReading.Occasion.RECORDS_CAME, false));
        }
    }

    /** A list whose dials are turned is read with them at once, so that it is the same wherever it is shown. */
    @TransactionalEventListener
    void after(DialsTurned turned) {
        sets.inForce().stream()
                .filter(set -> set.id().equals(turned.set()))
                .forEach(set -> takeByItself(set, TakenReading.Occasion.DIALS_TURNED, false));
    }

    /** The lists of the sets that were published, and of those that name them. */
    @EventListener
    void after(ListsOutdated outdated) {
        Set<String> ids = new HashSet<>(outdated.sets());
        boolean more = true;
        while (more) {
            more = false;
            for (SavedSet set : sets.inForce()) {
                if (!ids.contains(set.id())
                        && MemberReferences.namedIn(set.json()).stream().anyMatch(ids::contains)) {
                    ids.add(set.id());
                    more = true;
                }
            }
        }
        sets.inForce().stream()
                .filter(set -> ids.contains(set.id()))
                .forEach(set -> takeByItself(
                        set, TakenReading.Occasion.PUBLISHED, !outdated.sets().contains(set.id())));
    }

    /** Reads every list now, as at its time. */
    public void takeEvery() {
        sets.inForce().forEach(set -> takeByItself(set, TakenReading.Occasion.SCHEDULED, false));
    }

    /**
     * Lists that were never read, or not since their records or criteria changed, as after a stop in the middle; and those
     * that were read before levels were kept.
     */
    void catchUp() {
        for (SavedSet set : sets.inForce()) {
            View view = views.current();
            readings.latest(set.id())
                    .filter(one -> one.version() == set.version()
                            && one.recordsStamp().equals(view.stamp())
                            && readings.levels(one).isPresent())
                    .ifPresentOrElse(
                            upToDate -> lastRead.keep(upToDate, view),
                            () -> takeByItself(set, TakenReading.Occasion.RECORDS_CAME, false));
        }
    }

    /** Lists whose time has come since they were last read; what was missed is made up once. */
    void takeDue() {
        for (SavedSet set : sets.inForce()) {
            Optional<Instant> due = plans.of(set.id()).schedule().latestDue(today.now(), today.zone());
            boolean readSince = due.isEmpty()
                    || readings.latest(set.id())
                            .filter(last -> !last.takenAt().isBefore(due.get()))
                            .isPresent();
            if (!readSince) {
                takeByItself(set, TakenReading.Occasion.SCHEDULED, false);
            }
        }
    }

    /** Lists whose reading failed, for whatever reason, are read as soon as that can be done. */
    void takeMissed() {
        sets.inForce().stream()
                .filter(set -> missed.remove(set.id()))
                .forEach(set -> takeByItself(set, TakenReading.Occasion.RECORDS_CAME, false));
    }

    /** One list that cannot be read keeps no other from being read. */
    private void takeByItself(SavedSet set, TakenReading.Occasion occasion, boolean anew) {
        try {
            take(set, occasion, NOBODY, anew);
        } catch (RuntimeException failure) {
            LOG.error("The list of {} could not be read; it is tried again", set.id(), failure);
            missed.add(set.id());
        } catch (InvalidCriteria noLongerFits) {
            LOG.warn("The list of {} was not read: its criteria do not fit the records any more", set.id());
        }
    }

    /** @param anew also where the set itself is the same, because another one that it names is not */
    private synchronized TakenReading take(SavedSet saved, TakenReading.Occasion occasion, String who, boolean anew)
            throws InvalidCriteria {
        Evaluators.Now now = evaluators.now();
        View view = now.view();
        Evaluator evaluator = now.evaluator();
        String dials = ReadingPlan.written(plans.of(saved.id()).dials());
        Optional<TakenReading> last = readings.latest(saved.id());
        Optional<TakenReading> ofTheSame = last.filter(one -> !anew
                && one.version() == saved.version()
                && one.asOf().equals(evaluator.asOf())
                && one.dials().equals(dials));
        Optional<TakenReading> still = ofTheSame.filter(one ->
                one.recordsStamp().equals(view.stamp()) && readings.levels(one).isPresent());
        if (still.isPresent()) {
            lastRead.keep(still.get(), view);
            return still.get();
        }
        Reading reading = evaluator.read(criteria.of(saved, view.population().fields()));
        ReadMembers members = ofTheSame
                .flatMap(one -> ofThoseChanged(one, reading, evaluator))
                .orElseGet(() -> ReadMembers.ofAll(last.map(readings::members).orElse(List.of()), reading, evaluator));
        List<ReadChange> changes = last.map(
                        one -> whyChanged.since(one, members.before(), reading, members.now(), evaluator))
                .orElse(List.of());
        TakenReading taken = new TakenReading(
                0,
                saved.id(),
                saved.version(),
                evaluator.asOf(),
                today.now(),
                who,
                occasion,
                view.builtAt(),
                view.stamp(),
                dials,
                reading.eligible().yesCount(),
                reading.eligibleAndHas().yesCount(),
                reading.list().yesCount(),
                reading.list().unsureCount(),
                (int) changes.stream()
                        .filter(change -> change.nowIs() == Outcome.YES)
                        .count(),
                (int) changes.stream()
                        .filter(change -> change.was() == Outcome.YES)
                        .count(),
                members.of().flatMap(_ -> last).map(TakenReading::base).orElse(0L));
        TakenReading kept = Objects.requireNonNull(transaction.execute(_ -> {
            long id = rows.insert(taken, JSON.writeValueAsString(LevelCounts.of(reading)));
            ReadPart.of(reading).forEach(part -> rows.insertPart(id, part));
            write(id, members, taken.base());
            changes.forEach(change -> rows.insertChange(id, change));
            TakenReading found = rows.find(saved.id(), id).orElseThrow();
            events.publishEvent(new ReadingTaken(found, members.of()));
            return found;
        }));
        lastRead.keep(kept, view);
        return kept;
    }

    /** Those alone whose records are others since; nothing where that is not known, or more came of it than of them. */
    private Optional<ReadMembers> ofThoseChanged(TakenReading last, Reading reading, Evaluator evaluator) {
        return lastRead.changedSince(last)
                .filter(people -> people.size() <= ReadMembers.MOST_ANEW)
                .map(people -> ReadMembers.of(people, readings.membersAmong(last, people), reading, evaluator))
                .filter(members -> members.tellsAllOf(last, reading));
    }

    /** Of some people only what is another than before. */
    private void write(long reading, ReadMembers members, long base) {
        if (members.of().isEmpty()) {
            rows.isWhole(reading);
            rows.insertMembers(reading, reading, members.now());
            return;
        }
        Set<ReadMember> before = Set.copyOf(members.before());
        Set<ReadMember> now = Set.copyOf(members.now());
        before.stream().filter(one -> !now.contains(one)).forEach(one -> rows.endMember(base, one.person(), reading));
        rows.insertMembers(
                base, reading, now.stream().filter(one -> !before.contains(one)).toList());
    }
}
