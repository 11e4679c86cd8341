package dipstick.server.records;

import dipstick.core.population.PopulationBuilder;
import dipstick.core.population.Snapshot;
import dipstick.core.records.Fields;
import dipstick.server.practice.Today;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicReference;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Service;

/** Makes the view of the records aside, and swaps it in when it is whole. */
@Service
public class Views implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(Views.class);

    /** When the server starts, the first records of a demo are in place before the view of them is built. */
    public static final int AFTER_FIRST_RECORDS = 100;

    /** The order of what listens to records that came, and wants the view of them. */
    public static final int AFTER_VIEW = 100;

    /** So many people are always few enough to read anew, and otherwise a tenth of all. */
    private static final int ALWAYS_FEW = 100;

    private static final int FEW = 10;

    private final RecordsLoader loader;
    private final Today today;
    private final ViewFile file;
    private final AtomicReference<View> current;

    Views(RecordsLoader loader, Today today, ViewFile file) {
        this.loader = loader;
        this.file = file;
        this.today = today;
        Snapshot.Content nobody = new Snapshot.Content(new PopulationBuilder(Fields.PERSON).seal(), Map.of());
        this.current = new AtomicReference<>(new View(0, "", nobody, today.now()));
    }

    /** The view of now; whoever evaluates keeps what this gives. */
    public View current() {
        return current.get();
    }

    /** Before the first page can be asked for. */
    @Override
    public void start() {
        long start = System.nanoTime();
        String stamp = loader.stamp();
        Optional<Snapshot.Content> kept = file.read(stamp);
        if (kept.isPresent()) {
            swapIn(stamp, kept.get(), start);
        } else {
            rebuild();
        }
    }

    @Override
    public void stop() {
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

    @EventListener
    @Order(AFTER_VIEW - 1)
    synchronized void after(RecordsChanged change) {
        if (change.people().isEmpty()) {
            return;
        }
        Snapshot.Content before = current.get().records();
        boolean few = change.people().size()
                <= Math.max(ALWAYS_FEW, before.population().size() / FEW);
        boolean sameFields =
                loader.fields().all().equals(before.population().personFields().all());
        if (few && sameFields) {
            renew(before, change.people());
        } else {
            rebuild();
        }
    }

    private synchronized void rebuild() {
        long start = System.nanoTime();
        // Before the rows: if they change meanwhile, the stamp is of none, and the file is not read.
        String stamp = loader.stamp();
        Snapshot.Content content = loader.everything();
        swapIn(stamp, content, start);
        file.writeAside(stamp, content);
    }

    private void renew(Snapshot.Content before, Set<String> people) {
        long start = System.nanoTime();
        String stamp = loader.stamp();
        Snapshot.Content renewed = loader.of(people);
        boolean somebodyWent = people.stream()
                .anyMatch(person -> before.population().find(person).isPresent()
                        && renewed.population().find(person).isEmpty());
        if (somebodyWent) {
            rebuild();
            return;
        }
        Map<String, Integer> waiting = new HashMap<>(before.waiting());
        waiting.keySet().removeAll(people);
        waiting.putAll(renewed.waiting());
        Snapshot.Content content = new Snapshot.Content(before.population().with(renewed.population()), waiting);
        swapIn(stamp, content, start);
        file.writeLater(stamp, content);
    }

    private void swapIn(String stamp, Snapshot.Content content, long start) {
        View view = new View(current.get().version() + 1, stamp, content, today.now());
        current.set(view);
        LOG.info(
                "The records are ready: {} people, {} events, in {} ms",
                view.population().size(),
                view.population().events().size(),
                (System.nanoTime() - start) / 1_000_000);
    }
}
