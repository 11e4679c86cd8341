package dipstick.server.deliveries;

import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Reading;
import dipstick.core.population.Population;
import dipstick.intake.describe.Intake;
import dipstick.intake.files.Packed;
import dipstick.intake.files.RowsFile;
import dipstick.intake.files.Together;
import dipstick.intake.propose.PlainFile;
import dipstick.intake.propose.Proposal;
import dipstick.intake.propose.Proposing;
import dipstick.intake.rows.UnreadableRows;
import dipstick.server.criteria.CriteriaDocuments;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.Evaluators;
import dipstick.server.criteria.SavedSet;
import dipstick.server.deliveries.Delivery.Found;
import dipstick.server.deliveries.Delivery.State;
import dipstick.server.practice.PracticeSettings;
import dipstick.server.practice.Today;
import dipstick.server.records.RecordsIn;
import dipstick.server.web.Problems;
import jakarta.annotation.PostConstruct;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.function.Function;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.util.FileSystemUtils;

/** Brings files of other systems in: each is kept aside, tried by an intake, and then taken or left. */
@Service
class Deliveries {
    private static final Logger LOG = LoggerFactory.getLogger(Deliveries.class);

    private static final String OUR_MISTAKE = "Something went wrong on our side while the file was read. Nothing of it"
            + " was taken; what was there before is kept. Try again.";

    private static final String TOO_BIG_FOR_MEMORY = "The server has too little memory for this file. Nothing of it was"
            + " taken. Send it in parts, or have the server given more memory.";

    /** More files than this are not kept waiting: each lies on the disk. */
    private static final int MOST_WAITING = 20;

    private static final int MOST_TO_JOIN = 20;

    private static final Duration LEFT_AFTER = Duration.ofHours(1);

    private final RecordsIn records;
    private final Intakes intakes;
    private final CriteriaSets sets;
    private final CriteriaDocuments documents;
    private final Evaluators evaluators;
    private final Today today;
    private final Path folder;
    private final Map<String, Delivery> deliveries = new ConcurrentHashMap<>();
    /** One file is tried or taken at a time, since both write. */
    private final ExecutorService working = Executors.newSingleThreadExecutor();

    Deliveries(
            RecordsIn records,
            Intakes intakes,
            CriteriaSets sets,
            CriteriaDocuments documents,
            Evaluators evaluators,
            Today today,
            PracticeSettings settings) {
        this.records = records;
        this.intakes = intakes;
        this.sets = sets;
        this.documents = documents;
        this.evaluators = evaluators;
        this.today = today;
        this.folder = settings.data().resolve("deliveries");
    }

    /** Removes what a stop in the middle left behind; none of it was taken. */
    @PostConstruct
    void removeLeftovers() throws IOException {
        FileSystemUtils.deleteRecursively(folder);
    }

    @PreDestroy
    void stop() {
        working.shutdown();
    }

    /** Whether as many files wait to be read as are kept waiting. */
    boolean isFull() {
        return deliveries.values().stream().filter(Delivery::isUnderWay).count() >= MOST_WAITING;
    }

    /**
     * Keeps the file aside and begins to find out what it is.
     *
     * @param wanted the intake by which it is to be read; without it one that knows such files
     */
    Delivery receive(String fileName, InputStream bytes, Optional<Intake> wanted) throws IOException {
        if (isFull()) {
            throw Problems.refused(
                    HttpStatus.SERVICE_UNAVAILABLE,
                    "too-many-deliveries",
                    MOST_WAITING + " files are waiting to be read already. Nothing was kept of this one; send it again"
                            + " when they are through.");
        }
        String id = UUID.randomUUID().toString();
        Path own = Files.createDirectories(folder.resolve(id));
        Path file = own.resolve("sent");
        try {
            Files.copy(bytes, file);
        } catch (IOException brokenOff) {
            FileSystemUtils.deleteRecursively(own);
            throw brokenOff;
        }
        Delivery received = new Delivery(id, fileName, own, file, today.now());
        deliveries.put(id, received);
        working.execute(() -> guarded(received, () -> findOut(received, wanted)));
        return received;
    }

    Optional<Delivery> find(String id) {
        return Optional.ofNullable(deliveries.get(id));
    }

    /** Forgets a file and what was read of it; what was taken stays. */
    void forget(Delivery one) throws IOException {
        deliveries.remove(one.id());
        FileSystemUtils.deleteRecursively(one.folder());
    }

    /** What nobody took in an hour goes: it is of people, and lies about. */
    @Scheduled(fixedDelay = 10, timeUnit = TimeUnit.MINUTES)
    void forgetWhatWasLeft() throws IOException {
        for (Delivery one : List.copyOf(deliveries.values())) {
            if (one.isLeftSince(today.now().minus(LEFT_AFTER))) {
                forget(one);
            }
        }
    }

    /** Tries the file anew by another intake; false while something is being done with it, or after it was taken. */
    boolean tryBy(Delivery one, Intake intake) {
        return anew(one, _ -> intake, found -> tryNow(one, found, intake));
    }

    /** Finds out anew what the file is, read in another encoding or another sheet of it; false as above. */
    boolean readAs(Delivery one, RowsFile.Said said) {
        return anew(
                one,
                found -> found.proposal().intake(),
                found -> propose(one, new Packed.One(found.name(), found.file()), said, Optional.empty()));
    }

    private interface WithFound {
        void go(Found found) throws IOException;
    }

    private boolean anew(Delivery one, Function<Found, Intake> meanwhile, WithFound step) {
        State before = one.state();
        Optional<Found> found = switch (before) {
            case State.Tried tried -> Optional.of(tried.found());
            case State.Failed failed -> failed.found();
            case State.Reading _, State.Trying _, State.Taking _, State.Taken _ -> Optional.empty();
        };
        if (found.isEmpty() || !one.become(before, new State.Trying(found.get(), meanwhile.apply(found.get())))) {
            return false;
        }
        working.execute(() -> guarded(one, () -> step.go(found.get())));
        return true;
    }

    /** Begins to take it; false where it was not tried, something is open, it holds nothing, or is taken already. */
    boolean take(Delivery one, String who) {
        if (!(one.state() instanceof State.Tried tried)
                || !tried.trial().isGood()
                || tried.found().isOpen(tried.intake())
                || !one.become(tried, new State.Taking(tried.found(), tried.intake(), tried.trial()))) {
            return false;
        }
        working.execute(() -> guarded(one, () -> takeNow(one, tried, who)));
        return true;
    }

    private interface Step {
        void go() throws IOException;
    }

    private static void guarded(Delivery one, Step step) {
        try {
            step.go();
        } catch (UnreadableRows unreadable) {
            one.become(failed(one.state(), unreadable.reasonAndLine() + " Nothing was changed."));
        } catch (IOException | RuntimeException failure) {
            LOG.error("A delivery failed", failure);
            one.become(failed(one.state(), OUR_MISTAKE));
        } catch (OutOfMemoryError full) {
            // What was read of the file is let go with this call, so that everything else goes on.
            LOG.error("There was not enough memory for a delivery of {} bytes", one.size());
            one.become(failed(one.state(), TOO_BIG_FOR_MEMORY));
        }
    }

    private static State failed(State before, String reason) {
        return switch (before) {
            case State.Tried(Found found, Intake intake, Trial _) ->
                new State.Failed(Optional.of(found), Optional.of(intake), reason);
            case State.Trying(Found found, Intake intake) ->
                new State.Failed(Optional.of(found), Optional.of(intake), reason);
            case State.Taking taking ->
                new State.Failed(Optional.of(taking.found()), Optional.of(taking.intake()), reason);
            case State.Reading _, State.Taken _, State.Failed _ ->
                new State.Failed(Optional.empty(), Optional.empty(), reason);
        };
    }

    private void findOut(Delivery one, Optional<Intake> wanted) throws IOException {
        List<Packed.One> files = Packed.files(one.fileName(), one.file(), one.folder());
        Packed.One file = files.size() == 1 ? files.getFirst() : together(one, files);
        propose(one, file, RowsFile.Said.NOTHING, wanted);
    }

    private void propose(Delivery one, Packed.One file, RowsFile.Said said, Optional<Intake> wanted)
            throws IOException {
        Proposal proposal = Proposing.of(
                file.name(),
                file.file(),
                Proposing.Asked.forRecords(today.day().getYear(), records.fields())
                        .readAs(said));
        Optional<Intake> known = wanted.map(intake -> ofThisFile(intake, proposal))
                .or(() -> intakes.ofShape(proposal))
                .map(intake -> intake.with(said.in(intake.table())));
        Proposal own = proposal.called(intakes.freeId(proposal.intake().id()));
        Found found = new Found(file.file(), file.name(), own, known.isPresent());
        Intake intake = known.orElse(own.intake());
        one.become(new State.Trying(found, intake));
        tryNow(one, found, intake);
    }

    /** That of a plain file is of the columns that the file has. */
    private static Intake ofThisFile(Intake wanted, Proposal proposal) {
        if (PlainFile.ofIntake(wanted.id()).isEmpty()) {
            return wanted;
        }
        if (!proposal.intake().id().equals(wanted.id())) {
            throw new UnreadableRows(
                    Math.max(1, proposal.headerLine()), "Its columns are not those of a " + wanted.name() + ".");
        }
        return proposal.intake();
    }

    private static Packed.One together(Delivery one, List<Packed.One> files) throws IOException {
        List<Path> all = files.stream().map(Packed.One::file).toList();
        return Together.of(all, one.folder())
                .map(file -> new Packed.One(one.fileName(), file))
                .orElseThrow(() -> new UnreadableRows(
                        1,
                        "The archive holds " + files.size()
                                + " files that are not of one export. Send them one by one, so that each is seen."));
    }

    private void tryNow(Delivery one, Found found, Intake intake) throws IOException {
        try (Troubles troubles = new Troubles(one.problemsFile(), new Sightings(today.day()))) {
            Making making = new Making(found.file(), intake, today.zone(), records.finder(), intakes.ranks(), troubles);
            one.follow(making);
            RecordsIn.Tried<List<Trial.Effect>> tried = records.tryOut(making, this::effects);
            Trial trial = new Trial(
                    making.rows().rows(),
                    making.rows().leftOut(),
                    troubles.groups(),
                    troubles.badRows(),
                    tried.brought(),
                    troubles.firstRecords(),
                    strange(found, making, tried.brought(), troubles.sightings()),
                    found.known()
                            ? troubles.sightings().neverSeen(records::wordsOfPeople, records::wordsOfEvents)
                            : List.of(),
                    tried.seen(),
                    records.lastTaken(found.file()));
            one.become(new State.Tried(found, intake, trial));
        }
    }

    /** What is otherwise than the intake expects, than what is on file, and than its last delivery. */
    private List<String> strange(Found found, Making making, RecordsIn.Brought brought, Sightings sightings) {
        Intake intake = making.intake();
        List<String> strange = new ArrayList<>(otherColumns(found, intake));
        if (making.keepsEverybody()) {
            strange.add("Nobody goes off file, since somebody may stand in a row that cannot be read.");
        }
        int rows = brought.people().all() + brought.events().all();
        records.lastBroughtBy(intake.name())
                .filter(last -> rows * 3L < last * 2L)
                .ifPresent(last ->
                        strange.add("It holds " + rows + " people and records where the last one held " + last + "."));
        strange.addAll(sightings.inWords());
        brought.toJoin().stream()
                .limit(MOST_TO_JOIN)
                .forEach(pair -> strange.add("The file says that " + pair
                        + ". Both are on file and stay so; what either has is not joined."));
        return strange;
    }

    private static List<String> otherColumns(Found found, Intake intake) {
        List<String> other = new ArrayList<>();
        List<String> here = found.proposal().intake().table().columns();
        intake.table().columns().stream()
                .filter(column -> here.stream().noneMatch(column::equalsIgnoreCase))
                .forEach(column -> other.add("The column “" + column + "” is missing."));
        here.stream()
                .filter(column -> !intake.table().columns().isEmpty())
                .filter(column -> intake.table().columns().stream().noneMatch(column::equalsIgnoreCase))
                .forEach(column -> other.add("The column “" + column + "” is new; nothing is made of it."));
        return other;
    }

    private List<Trial.Effect> effects(Population wouldBe) {
        Evaluator now = evaluators.asOf(Optional.empty());
        Evaluator then = new Evaluator(wouldBe, now.asOf());
        List<Trial.Effect> effects = new ArrayList<>();
        for (SavedSet set : sets.inForce()) {
            Optional<Reading> before = documents.readingOf(set.json(), now);
            Optional<Reading> after = documents.readingOf(set.json(), then);
            if (before.isPresent() && after.isPresent()) {
                int joined = only(after.get(), before.get());
                int left = only(before.get(), after.get());
                if (joined + left > 0) {
                    effects.add(new Trial.Effect(set.id(), set.name(), joined, left));
                }
            }
        }
        return effects;
    }

    /** People who are on one list and not on the other, by their ids: the two number them otherwise. */
    private static int only(Reading one, Reading other) {
        List<String> there = other.records().idsOf(other.list().yes());
        Set<String> known = new HashSet<>(there);
        return (int) one.records().idsOf(one.list().yes()).stream()
                .filter(person -> !known.contains(person))
                .count();
    }

    /** The intake is kept first: without it nothing is taken, and by itself it does no harm. A plain file's is always there. */
    private void takeNow(Delivery one, State.Tried tried, String who) {
        boolean plain = PlainFile.ofIntake(tried.intake().id()).isPresent();
        if (!plain) {
            intakes.save(tried.intake(), who);
        }
        Making making = new Making(
                tried.found().file(), tried.intake(), today.zone(), records.finder(), intakes.ranks(), Unwatched.HERE);
        one.follow(making);
        RecordsIn.Taken taken = records.take(
                making,
                new RecordsIn.About(
                        who,
                        one.fileName(),
                        plain ? "" : tried.intake().name(),
                        tried.found().file(),
                        tried.trial().badRows()));
        one.become(new State.Taken(
                tried.found(), tried.intake(), tried.trial(), taken.delivery(), taken.brought(), taken.shown()));
    }
}
