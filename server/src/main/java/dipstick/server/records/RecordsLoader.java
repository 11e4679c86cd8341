package dipstick.server.records;

import dipstick.core.population.PopulationBuilder;
import dipstick.core.population.Snapshot;
import dipstick.core.records.EventRecord;
import dipstick.core.records.Field;
import dipstick.core.records.FieldType;
import dipstick.core.records.RecordFields;
import dipstick.server.database.Chunks;
import dipstick.server.records.RecordsMapper.CustomFieldRow;
import dipstick.server.records.RecordsMapper.StoredEvent;
import dipstick.server.records.RecordsMapper.StoredPerson;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.apache.ibatis.cursor.Cursor;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Reads people and events out of the database into a population, as they are at one moment. */
@Component
class RecordsLoader {
    private static final Logger LOG = LoggerFactory.getLogger(RecordsLoader.class);

    /** While a chunk is sorted into columns the next one is read. */
    private static final int CHUNK = 10_000;

    private final RecordsMapper records;
    private final TransactionTemplate reading;

    RecordsLoader(RecordsMapper records, PlatformTransactionManager transactions) {
        this.records = records;
        this.reading = new TransactionTemplate(transactions);
        this.reading.setReadOnly(true);
    }

    /** The fields of people and events of the practice: the known ones and its own. */
    RecordFields fields() {
        Map<Boolean, List<Field>> custom = records.customFields().stream()
                .collect(Collectors.partitioningBy(
                        CustomFieldRow::ofEvents,
                        Collectors.mapping(
                                row -> new Field(row.name(), FieldType.valueOf(row.type())), Collectors.toList())));
        return RecordFields.withCustom(custom.get(false), custom.get(true));
    }

    /** Names the state of the records; another one after each change. */
    String stamp() {
        return records.stamp();
    }

    /** Of everybody on file. */
    Set<String> personIds() {
        return new HashSet<>(records.personIds());
    }

    Snapshot.Content everything() {
        return reading.execute(_ -> {
            ReadingProgress progress = new ReadingProgress(records.countEvents(), System::nanoTime);
            records.handOnAsRead();
            try (Cursor<StoredPerson> people = records.allPeople();
                    Cursor<StoredEvent> events = records.allEvents()) {
                return sealed(people, events, () -> progress.next().ifPresent(LOG::info));
            } catch (IOException broken) {
                throw new UncheckedIOException(broken);
            } finally {
                records.gatherFirst();
            }
        });
    }

    /** Those of some people who are known, with their events; the events of the others wait. */
    Snapshot.Content of(Collection<String> ids) {
        List<String> wanted = List.copyOf(ids);
        return reading.execute(
                _ -> sealed(inChunks(wanted, records::people), inChunks(wanted, records::eventsOf), () -> {}));
    }

    private static <T> List<T> inChunks(List<String> ids, Function<String[], List<T>> question) {
        return Chunks.of(ids)
                .flatMap(some -> question.apply(some.toArray(String[]::new)).stream())
                .toList();
    }

    /** @param read told of each event */
    private Snapshot.Content sealed(Iterable<StoredPerson> people, Iterable<StoredEvent> events, Runnable read) {
        RecordFields fields = fields();
        PopulationBuilder builder = new PopulationBuilder(fields);
        people.forEach(person -> builder.add(RowMapping.person(person, fields.people())));
        CompletableFuture<Void> added = CompletableFuture.completedFuture(null);
        List<EventRecord> chunk = new ArrayList<>();
        for (StoredEvent event : events) {
            chunk.add(RowMapping.event(event, fields.events()));
            if (chunk.size() == CHUNK) {
                List<EventRecord> full = chunk;
                chunk = new ArrayList<>(CHUNK);
                added.join();
                added = CompletableFuture.runAsync(() -> full.forEach(builder::add));
            }
            read.run();
        }
        added.join();
        chunk.forEach(builder::add);
        return new Snapshot.Content(builder.seal(), builder.waiting());
    }
}
