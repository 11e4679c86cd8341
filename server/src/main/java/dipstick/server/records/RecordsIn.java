package dipstick.server.records;

import dipstick.core.population.Column;
import dipstick.core.population.Population;
import dipstick.core.records.EventRecord;
import dipstick.core.records.Field;
import dipstick.core.records.FieldValue;
import dipstick.core.records.PersonRecord;
import dipstick.core.records.RecordFields;
import dipstick.server.personal.Erased;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Brings records in that something else makes of a file: tries it, or takes it. Both write everything in one
 * transaction; a trial's is rolled back, so that it tells just what taking would do.
 */
@Service
public class RecordsIn {
    private final RecordsWriter writer;
    private final RecordsLoader loader;
    private final Views views;
    private final DeliveryLog deliveries;
    private final FileNumbers numbers;

    private final TakingTurns turns;
    private final Erased erased;
    private final TransactionTemplate transaction;

    RecordsIn(
            RecordsWriter writer,
            RecordsLoader loader,
            Views views,
            DeliveryLog deliveries,
            FileNumbers numbers,
            TakingTurns turns,
            Erased erased,
            PlatformTransactionManager transactions) {
        this.writer = writer;
        this.loader = loader;
        this.views = views;
        this.deliveries = deliveries;
        this.numbers = numbers;

        this.turns = turns;
        this.erased = erased;
        this.transaction = new TransactionTemplate(transactions);
    }

    /** Takes records one by one. */
    public interface Sink {
        void person(PersonRecord person);

        void event(EventRecord event);

        /** The source knows the person by another number, too. */
        void alsoKnown(String person, String number);

        /** The source says that whoever had the other number is this person. */
        void merged(String person, String number);
    }

    /** What makes the records; it may be asked more than once, and makes the same. */
    public interface Source {
        /** The system that wrote the file; empty for none by name. */
        String name();

        /** Whether what another source brought gives way to this one. */
        boolean outranks(String other);

        List<Field> customOfPeople();

        List<Field> customOfEvents();

        /** The person fields that a blank cell clears. */
        Set<String> cleared();

        /** Whether people who are on file stay as they are. */
        boolean onlyAddsPeople();

        /** Whether whoever is not among its people goes off file, now that it was read. */
        boolean namesEverybody();

        /** Whether a blank cell clears a field of a record that is on file. */
        boolean blanksOfEventsClear();

        /** Whether it means to name all records of its source, of the kinds that it names. */
        boolean mayBeAllOfItsRecords();

        /** Whether it does, now that it was read; then others go. */
        boolean isAllOfItsRecords();

        void read(Sink sink) throws IOException;
    }

    /**
     * What it did, or would do.
     *
     * @param gone people who go off file
     * @param goneEvents records that go, since their source no longer has them
     * @param unknownPeople how many people events are of who are not on file
     * @param erased records of people who were erased here, which are left out
     * @param toJoin pairs of people who are both on file, and are one by what the source says
     * @param told what is told of its changes besides
     */
    public record Brought(
            Counts people,
            Counts events,
            int gone,
            int goneEvents,
            int unknownPeople,
            int erased,
            List<String> toJoin,
            Set<String> peopleConcerned,
            Told told) {
        public Brought {
            toJoin = List.copyOf(toJoin);
            peopleConcerned = Set.copyOf(peopleConcerned);
        }
    }

    public record Counts(int added, int changed, int unchanged) {
        public int all() {
            return added + changed + unchanged;
        }
    }

    /** @param seen what the would-be records were asked */
    public record Tried<T>(Brought brought, T seen) {}

    /** @param shown whether the view shows them; else it is being tried again */
    public record Taken(long delivery, Brought brought, boolean shown) {}

    /**
     * @param intake the name of the intake; empty for a plain file
     * @param badRows how many rows of the file are left out, since they cannot be read
     */
    public record About(String who, String fileName, String intake, Path file, int badRows) {}

    /** @param look at everybody as they would be */
    public <T> Tried<T> tryOut(Source source, Function<Population, T> look) {
        return transaction.execute(status -> {
            status.setRollbackOnly();
            Brought brought = writing(source, Optional.empty(), 0).all();
            return new Tried<>(brought, look.apply(wouldBe(brought.peopleConcerned())));
        });
    }

    public Taken take(Source source, About about) {
        Taken taken = turns.delivering(() -> transaction.execute(_ -> {
            DeliveryLog.About logged =
                    new DeliveryLog.About(about.who(), about.fileName(), about.intake(), about.file());
            long delivery = deliveries.begin(logged);
            Brought brought = writing(source, Optional.of(writer.notesOf(delivery)), delivery)
                    .all();
            deliveries.finish(
                    delivery,
                    logged,
                    new Changes(
                            brought.people().added() + brought.events().added(),
                            brought.people().changed() + brought.events().changed(),
                            brought.people().unchanged() + brought.events().unchanged(),
                            brought.gone() + brought.goneEvents(),
                            Set.of(),
                            brought.told()),
                    about.badRows(),
                    brought.unknownPeople());
            return new Taken(delivery, brought, false);
        }));
        return new Taken(taken.delivery(), taken.brought(), views.show());
    }

    /** The fields that people and records have here, the practice's own among them. */
    public RecordFields fields() {
        return loader.fields();
    }

    /** When the very same file was last taken, if it was, and was not taken back. */
    public Optional<Instant> lastTaken(Path file) {
        return deliveries.lastTaken(file);
    }

    /** When files were taken, by the name of their intake, the latest first; of those that were not taken back. */
    public Map<String, List<Instant>> takenByIntake() {
        return deliveries.takenByIntake();
    }

    /** How many people and records the last delivery of an intake held, if there was one that was not taken back. */
    public Optional<Integer> lastBroughtBy(String intake) {
        return deliveries.lastBroughtBy(intake);
    }

    /** The words on file in a field of people, normalised. */
    public Set<String> wordsOfPeople(String field) {
        Population population = views.current().population();
        return population
                .personFields()
                .find(field)
                .map(population::column)
                .map(RecordsIn::words)
                .orElse(Set.of());
    }

    /** The words on file in a field of records. */
    public Set<String> wordsOfEvents(String field) {
        Population population = views.current().population();
        return population
                .events()
                .fields()
                .find(field)
                .map(population.events()::column)
                .map(RecordsIn::words)
                .orElse(Set.of());
    }

    private static Set<String> words(Column column) {
        return column instanceof Column.OfText texts
                ? texts.written().stream().filter(word -> !word.isBlank()).collect(Collectors.toUnmodifiableSet())
                : Set.of();
    }

    private Population wouldBe(Set<String> people) {
        Population before = views.current().population();
        Population renewed = loader.of(people).population();
        boolean sameFields = before.fields().equals(renewed.fields());
        return sameFields ? before.with(renewed) : before;
    }

    /** Finds those who are on file now by several of their fields, compared as text is. */
    public Function<Map<String, FieldValue>, List<String>> finder() {
        return new PeopleByFields(views.current().population())::find;
    }

    private FileWritten writing(Source source, Optional<DeliveryNotes> notes, long delivery) {
        return new FileWritten(writer, loader, numbers, erased, source, notes, delivery);
    }
}
