package dipstick.server.records;

import dipstick.core.population.PopulationBuilder;
import dipstick.core.population.Snapshot;
import dipstick.core.records.EventRecord;
import dipstick.core.records.Field;
import dipstick.core.records.FieldType;
import dipstick.core.records.Fields;
import dipstick.server.practice.Today;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import org.apache.ibatis.cursor.Cursor;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Builds the view of the records aside, and swaps it in when it is whole. */
@Service
public class Views implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(Views.class);

    /** When the server starts, the first records of a demo are in place before the view of them is built. */
    public static final int AFTER_FIRST_RECORDS = 100;

    private static final long TOLD_EVERY = 1_000_000;

    private final RecordsMapper records;
    private final TransactionTemplate reading;
    private final Today today;
    private final ViewFile file;
    private final AtomicReference<View> current;

    Views(RecordsMapper records, PlatformTransactionManager transactions, Today today, ViewFile file) {
        this.file = file;
        this.records = records;
        this.reading = new TransactionTemplate(transactions);
        this.reading.setReadOnly(true);
        this.today = today;
        this.current = new AtomicReference<>(new View(0, new PopulationBuilder(Fields.PERSON).seal(), 0, today.now()));
    }

    /** The view of now; whoever evaluates keeps what this gives. */
    public View current() {
        return current.get();
    }

    /** Before the first page can be asked for. */
    @Override
    public void start() {
        long start = System.nanoTime();
        Optional<Snapshot.Content> kept = file.read(records.stamp());
        if (kept.isPresent()) {
            swapIn(kept.get(), start);
        } else {
            rebuild();
        }
    }

    @Override
    public void stop() {
        // The view is memory only; there is nothing to let go of.
    }

    @Override
    public boolean isRunning() {
        return current.get().version() > 0;
    }

    @Override
    public int getPhase() {
        return AFTER_FIRST_RECORDS;
    }

    @EventListener(RecordsChanged.class)
    void buildAfterChange() {
        rebuild();
    }

    private synchronized void rebuild() {
        long start = System.nanoTime();
        // Before the rows: if they change meanwhile, the stamp is of none, and the file is not read.
        String stamp = records.stamp();
        PopulationBuilder builder = reading.execute(_ -> load());
        Snapshot.Content content = new Snapshot.Content(builder.seal(), builder.eventsOfUnknownPeople());
        swapIn(content, start);
        file.writeAside(stamp, content);
    }

    private void swapIn(Snapshot.Content content, long start) {
        View view = new View(
                current.get().version() + 1, content.population(), content.eventsOfUnknownPeople(), today.now());
        current.set(view);
        LOG.info(
                "The records are ready: {} people, {} events, in {} ms",
                view.population().size(),
                view.population().events().size(),
                (System.nanoTime() - start) / 1_000_000);
    }

    private PopulationBuilder load() {
        Fields fields = fields();
        PopulationBuilder builder = new PopulationBuilder(fields);
        try (Cursor<PersonRow> people = records.allPeople();
                Cursor<EventRecord> events = records.allEvents()) {
            people.forEach(row -> builder.add(RowMapping.person(row, fields)));
            long read = 0;
            for (EventRecord event : events) {
                builder.add(event);
                if (++read % TOLD_EVERY == 0) {
                    LOG.info("{} million events are read …", read / TOLD_EVERY);
                }
            }
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
        return builder;
    }

    /** The person fields of the practice: the known ones and its own. */
    Fields fields() {
        List<Field> custom = records.customFields().stream()
                .map(row -> new Field(row.name(), FieldType.valueOf(row.type())))
                .toList();
        return Fields.PERSON.with(custom);
    }
}
