package dipstick.server.readings;

import dipstick.core.Outcome;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.criteria.MemberReferences;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.LevelCounts;
import dipstick.core.evaluate.ListMember;
import dipstick.core.evaluate.Reading;
import dipstick.core.explain.Verdict;
import dipstick.core.export.ReadingExport;
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
import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Collectors;
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

/** Takes readings of lists and keeps them. */
@Service
public class Readings {
    private static final Logger LOG = LoggerFactory.getLogger(Readings.class);

    /** Who takes the readings that nobody asked for. */
    private static final String NOBODY = "";

    /** Of more people the whole list is read. */
    private static final int MOST_ANEW = 1000;

    private static final JsonMapper JSON = JsonMapper.shared();

    private final ReadingMapper readings;
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

    Readings(
            ReadingMapper readings,
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

    /** The newest first. */
    public List<TakenReading> of(String set) {
        return readings.ofSet(sets.getInForce(set).id());
    }

    public Optional<TakenReading> latest(String set) {
        return readings.latest(set);
    }

    /** By the id of its set. */
    public Map<String, TakenReading> latestOfEach() {
        return readings.latestOfEach().stream().collect(Collectors.toMap(TakenReading::setId, Function.identity()));
    }

    public TakenReading find(String set, long id) {
        return readings.find(sets.getInForce(set).id(), id)
                .orElseThrow(() ->
                        Problems.refused(HttpStatus.NOT_FOUND, "no-such-reading", "This list has no such reading."));
    }

    /** How many were on the list in each band in which there was anybody; in none under the empty name. */
    public Map<String, Integer> inBands(TakenReading reading) {
        return readings.inBands(reading, ListMember.State.ON.word()).stream()
                .collect(Collectors.toMap(ReadingMapper.InBand::band, ReadingMapper.InBand::people));
    }

    public List<ReadMember> members(TakenReading reading) {
        return readings.members(reading);
    }

    /** Those of some people, by their numbers. */
    public List<ReadMember> membersAmong(TakenReading reading, Set<String> people) {
        return people.stream()
                .sorted()
                .flatMap(person -> readings.member(reading, person).stream())
                .toList();
    }

    /** What is different from the reading before. */
    public List<ReadChange> changes(TakenReading reading) {
        return readings.changes(reading.id());
    }

    /** What made the difference last for everybody whose place changed after one reading, up to a later one. */
    public Map<String, ReadChange> changesBetween(TakenReading after, TakenReading through) {
        Map<String, ReadChange> last = new HashMap<>();
        readings.changesBetween(after.setId(), after.id(), through.id())
                .forEach(change -> last.putIfAbsent(change.person(), change));
        return last;
    }

    /** How each provider's and each site's people stood; nothing for readings taken before this was kept. */
    public List<ReadPart> parts(TakenReading reading) {
        return readings.parts(reading.id());
    }

    /** How a list stood at each of its readings, the first one first. */
    public List<LevelAt> levelsOver(String set) {
        return of(set).reversed().stream()
                .map(one -> new LevelAt(one.asOf(), one.eligible(), one.has(), one.onList(), one.toCheck()))
                .toList();
    }

    /**
     * The same of one part of a list, at the readings at which there was somebody in it.
     *
     * @param field one of {@link ReadPart#FIELDS}
     */
    public List<LevelAt> levelsOver(String set, String field, String name) {
        return readings.levelsOfPart(sets.getInForce(set).id(), field, name);
    }

    /** How many people there were at each level; nothing for readings taken before this was kept. */
    Optional<LevelCounts> levels(TakenReading reading) {
        return Optional.of(readings.levels(reading.id()))
                .filter(written -> !written.isEmpty())
                .map(written -> JSON.readValue(written, LevelCounts.class));
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

    /** Whether no list was ever read. */
    public boolean none() {
        return sets.inForce().stream().noneMatch(set -> latest(set.id()).isPresent());
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
                            && levels(one).isPresent())
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
        Optional<TakenReading> still = ofTheSame.filter(
                one -> one.recordsStamp().equals(view.stamp()) && levels(one).isPresent());
        if (still.isPresent()) {
            lastRead.keep(still.get(), view);
            return still.get();
        }
        Reading reading = evaluator.read(criteria.of(saved, view.population().fields()));
        Members members = ofTheSame
                .flatMap(one -> ofSome(one, reading, evaluator))
                .orElseGet(() -> ofAll(last, reading, evaluator));
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
            long id = readings.insert(taken, JSON.writeValueAsString(LevelCounts.of(reading)));
            ReadPart.of(reading).forEach(part -> readings.insertPart(id, part));
            write(id, members, taken.base());
            changes.forEach(change -> readings.insertChange(id, change));
            TakenReading found = readings.find(saved.id(), id).orElseThrow();
            events.publishEvent(new ReadingTaken(found, members.of()));
            return found;
        }));
        lastRead.keep(kept, view);
        return kept;
    }

    /**
     * Members of a list at two readings.
     *
     * @param of whom alone this tells, since all others stand as they did; nothing where it tells of everybody
     */
    private record Members(Optional<Set<String>> of, List<ReadMember> before, List<ReadMember> now) {}

    private Members ofAll(Optional<TakenReading> last, Reading reading, Evaluator evaluator) {
        return new Members(
                Optional.empty(),
                last.map(one -> readings.members(one)).orElse(List.of()),
                evaluator.members(reading).stream()
                        .map(member -> member(evaluator, reading, member))
                        .toList());
    }

    /** Those alone whose records are others since; nothing where that is not known, or more came of it than of them. */
    private Optional<Members> ofSome(TakenReading last, Reading reading, Evaluator evaluator) {
        return lastRead.changedSince(last)
                .filter(people -> people.size() <= MOST_ANEW)
                .map(people -> {
                    BitSet numbers = new BitSet();
                    people.forEach(person -> reading.records().find(person).ifPresent(numbers::set));
                    return new Members(
                            Optional.of(people),
                            membersAmong(last, people),
                            evaluator.members(reading, numbers).stream()
                                    .map(member -> member(evaluator, reading, member))
                                    .toList());
                })
                .filter(members -> last.onList() + gain(members, ListMember.State.ON)
                                == reading.list().yesCount()
                        && last.toCheck() + gain(members, ListMember.State.CHECK)
                                == reading.list().unsureCount());
    }

    /** Of some people only what is another than before. */
    private void write(long reading, Members members, long base) {
        if (members.of().isEmpty()) {
            readings.isWhole(reading);
            readings.insertMembers(reading, reading, members.now());
            return;
        }
        Set<ReadMember> before = Set.copyOf(members.before());
        Set<ReadMember> now = Set.copyOf(members.now());
        before.stream()
                .filter(one -> !now.contains(one))
                .forEach(one -> readings.endMember(base, one.person(), reading));
        readings.insertMembers(
                base, reading, now.stream().filter(one -> !before.contains(one)).toList());
    }

    private static int gain(Members members, ListMember.State state) {
        return count(members.now(), state) - count(members.before(), state);
    }

    private static int count(List<ReadMember> members, ListMember.State state) {
        return (int) members.stream()
                .filter(member -> member.state().equals(state.word()))
                .count();
    }

    private static ReadMember member(Evaluator evaluator, Reading reading, ListMember member) {
        return new ReadMember(
                reading.records().idOf(member.person()),
                member.state().word(),
                ReadingExport.dueText(member.due()),
                member.band().orElse(""),
                WhyChanged.fitting(Verdict.of(evaluator, reading, member.person())));
    }
}
