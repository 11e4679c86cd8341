package dipstick.server.records;

import dipstick.core.evaluate.ReadAnew;
import dipstick.core.population.PopulationBuilder;
import dipstick.core.population.Snapshot;
import dipstick.core.records.RecordFields;
import dipstick.server.practice.Today;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Service;

/**
 * Makes the view of the records aside, and swaps it in when it is whole. Where that fails, what changed stays known as not
 * shown, and is tried again until it is.
 */
@Service
public class Views implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(Views.class);

    /** When the server starts, the first records of a demo are in place before the view of them is built. */
    public static final int AFTER_FIRST_RECORDS = 100;

    /** So many people are always few enough to read anew, and otherwise a tenth of all. */
    private static final int ALWAYS_FEW = 100;

    private static final int FEW = 10;

    /** A change that is shown sooner is not worth telling anybody of. */
    private static final Duration UNNOTICED = Duration.ofSeconds(2);

    private static final Duration FIRST_PAUSE = Duration.ofSeconds(1);
    private static final Duration LONGEST_PAUSE = Duration.ofMinutes(1);

    private final RecordsLoader loader;
    private final Unshown unshown;
    private final Today today;
    private final ViewFile file;
    private final ApplicationEventPublisher events;
    private final AtomicReference<View> current;
    private final ExecutorService showing = Executors.newSingleThreadExecutor();
    /** Tells of what is shown, in the order in which it came to be. */
    private final ExecutorService telling = Executors.newSingleThreadExecutor();

    private final Renewals renewals = new Renewals();
    private Duration pause = FIRST_PAUSE;
    private volatile boolean failing;
    private volatile boolean stopping;
    private boolean toldBehind;

    Views(RecordsLoader loader, Unshown unshown, Today today, ViewFile file, ApplicationEventPublisher events) {
        this.loader = loader;
        this.unshown = unshown;
        this.file = file;
        this.today = today;
        this.events = events;
        Snapshot.Content nobody = new Snapshot.Content(new PopulationBuilder(RecordFields.KNOWN).seal(), Map.of());
        this.current = new AtomicReference<>(new View(0, "", nobody, today.now()));
    }

    /** The view of now; whoever evaluates keeps what this gives. */
    public View current() {
        return current.get();
    }

    /** All who were read anew since a view; nothing where everybody was, or it is too long ago to tell. */
    public Optional<Set<String>> changedSince(long version) {
        return renewals.since(version, current.get().version());
    }

    /** The records of those who were read anew for each view after one, up to another; nothing likewise. */
    public Optional<List<ReadAnew>> readAnew(long after, long through) {
        return renewals.records(after, through);
    }

    /** Since when there are records that should be shown and are not; nothing while a change is being made ready. */
    public Optional<Instant> behindSince() {
        return unshown.since()
                .filter(since -> failing || since.isBefore(today.now().minus(UNNOTICED)));
    }

    /** Before the first page can be asked for. */
    @Override
    public synchronized void start() {
        long start = System.nanoTime();
        String stamp = loader.stamp();
        Unshown.Waiting waiting = unshown.committed();
        Optional<Snapshot.Content> kept = file.read(stamp);
        if (kept.isPresent()) {
            swapIn(stamp, kept.get(), start);
        } else {
            rebuild(stamp, waiting.whole());
        }
        unshown.shown(waiting);
    }

    /** Waits for what is being read: a thread that is interrupted there closes the database's file for everybody. */
    @Override
    public void stop() {
        stopping = true;
        showing.close();
        telling.shutdown();
        file.finish();
    }

    @Override
    public boolean isRunning() {
        return current.get().version() > 0;
    }

    @Override
    public int getPhase() {
        return AFTER_FIRST_RECORDS;
    }

    /** The same records, made ready at this moment. */
    public synchronized void remake() {
        View view = current.get();
        renewals.add(view.version() + 1, Set.of(), Optional.empty());
        current.set(new View(view.version() + 1, view.stamp(), view.records(), today.now()));
    }

    /** Has what is committed shown soon, without keeping anybody waiting. */
    void showSoon() {
        showing.execute(this::showChanges);
        after(UNNOTICED.plusMillis(1), this::tellWhetherBehind);
    }

    /**
     * Shows what is committed, and waits until everybody who wanted to know of it has been told. Where it fails it is tried
     * again later.
     *
     * @return whether everything is shown that was committed when this was called
     */
    public boolean show() {
        after(UNNOTICED.plusMillis(1), this::tellWhetherBehind);
        boolean shown = showChanges();
        CompletableFuture.runAsync(() -> {}, telling).join();
        return shown;
    }

    private void after(Duration pause, Runnable what) {
        CompletableFuture.delayedExecutor(pause.toMillis(), TimeUnit.MILLISECONDS, showing)
                .execute(what);
    }

    private synchronized boolean showChanges() {
        if (stopping) {
            return false;
        }
        // The stamp first: what led to it is known by the time that the changes are looked at.
        try {
            String stamp = loader.stamp();
            Unshown.Waiting waiting = unshown.committed();
            if (!waiting.isEmpty()) {
                show(stamp, waiting);
                unshown.shown(waiting);
                telling.execute(() -> events.publishEvent(new RecordsChanged(waiting.people(), waiting.broughtIn())));
            }
            failing = false;
            pause = FIRST_PAUSE;
            tellWhetherBehind();
            return true;
        } catch (RuntimeException failure) {
            LOG.error("The records could not be made ready; it is tried again in {}", pause, failure);
            failing = true;
            tellWhetherBehind();
            after(pause, this::showChanges);
            pause = pause.multipliedBy(2).compareTo(LONGEST_PAUSE) > 0 ? LONGEST_PAUSE : pause.multipliedBy(2);
            return false;
        }
    }

    private synchronized void tellWhetherBehind() {
        boolean behind = behindSince().isPresent();
        if (behind != toldBehind) {
            toldBehind = behind;
            telling.execute(() -> events.publishEvent(new RecordsBehind(behind)));
        }
    }

    private void show(String stamp, Unshown.Waiting waiting) {
        Snapshot.Content before = current.get().records();
        boolean few = waiting.people().size()
                <= Math.max(ALWAYS_FEW, before.population().size() / FEW);
        boolean sameFields = loader.fields().equals(before.population().fields());
        if (!few || !sameFields || !renewed(stamp, waiting, before)) {
            rebuild(stamp, waiting.whole());
        }
    }

    private void rebuild(String stamp, boolean whole) {
        long start = System.nanoTime();
        Snapshot.Content content = loader.everything();
        swapIn(stampOf(stamp, whole), content, start);
        if (whole) {
            file.writeAside(stamp, content);
        }
    }

    /** Reads only those who changed; false where that is not enough, since somebody is not on file any more. */
    private boolean renewed(String stamp, Unshown.Waiting waiting, Snapshot.Content before) {
        long start = System.nanoTime();
        Set<String> people = waiting.people();
        Snapshot.Content renewed = loader.of(people);
        boolean somebodyWent = people.stream()
                .anyMatch(person -> before.population().find(person).isPresent()
                        && renewed.population().find(person).isEmpty());
        if (somebodyWent) {
            return false;
        }
        Map<String, Integer> stillWaiting = new HashMap<>(before.waiting());
        stillWaiting.keySet().removeAll(people);
        stillWaiting.putAll(renewed.waiting());
        Snapshot.Content content = new Snapshot.Content(before.population().with(renewed.population()), stillWaiting);
        ReadAnew readAnew = ReadAnew.of(renewed.population(), content.population());
        renewals.add(current.get().version() + 1, people, Optional.of(readAnew));
        swapIn(stampOf(stamp, waiting.whole()), content, start);
        if (waiting.whole()) {
            file.writeLater(stamp, content);
        }
        return true;
    }

    /** The stamp of the database is taken only by a view that holds all that led to it; else one that nothing else has. */
    private static String stampOf(String stamp, boolean whole) {
        return whole ? stamp : UUID.randomUUID().toString();
    }

    private void swapIn(String stamp, Snapshot.Content content, long start) {
        View view = new View(current.get().version() + 1, stamp, content, today.now());
        current.set(view);
        LOG.debug(
                "The records are ready: {} people, {} events, in {} ms",
                view.population().size(),
                view.population().events().size(),
                (System.nanoTime() - start) / 1_000_000);
    }
}
