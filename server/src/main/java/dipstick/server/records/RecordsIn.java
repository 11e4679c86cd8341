package dipstick.server.records;

import dipstick.core.population.Column;
import dipstick.core.population.Population;
import dipstick.core.records.EventRecord;
import dipstick.core.records.Field;
import dipstick.core.records.FieldValue;
import dipstick.core.records.Fields;
import dipstick.core.records.PersonRecord;
import dipstick.core.records.RecordFields;
import dipstick.server.personal.Erased;
import dipstick.server.records.RecordsWriter.Over;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
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
    private static final int CHUNK = 1000;

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
            Brought brought = new Writing(source, Optional.empty(), 0).all();
            return new Tried<>(brought, look.apply(wouldBe(brought.peopleConcerned())));
        });
    }

    public Taken take(Source source, About about) {
        Taken taken = turns.delivering(() -> transaction.execute(_ -> {
            DeliveryLog.About logged =
                    new DeliveryLog.About(about.who(), about.fileName(), about.intake(), about.file());
            long delivery = deliveries.begin(logged);
            Brought brought = new Writing(source, Optional.of(writer.notesOf(delivery)), delivery).all();
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

    private final class Writing implements Sink {
        private final Source source;
        private final Optional<DeliveryNotes> notes;
        private final RecordFields known = loader.fields();
        private final Predicate<String> keptOut = erased.keptOut();
        private final Set<String> onFile = loader.personIds();
        private final Set<String> named = new HashSet<>();
        private final Set<String> unknown = new HashSet<>();
        private final List<PersonRecord> people = new ArrayList<>();
        private final List<EventRecord> events = new ArrayList<>();
        private final Changes.Sum ofPeople = new Changes.Sum();
        private final Changes.Sum ofEvents = new Changes.Sum();
        private final Fields personFields;
        private final Fields eventFields;
        /** The records that the source names, by their keys, where others are to go. */
        private final Set<String> namedEvents = new HashSet<>();

        private final Set<String> kinds = new HashSet<>();
        private final long delivery;
        private final Saying saying;
        private int leftOut;
        private final WhoIsMeant whoIsMeant;
        private final JoinedInFile joinedInFile = numbers.joinedInFile();

        Writing(Source source, Optional<DeliveryNotes> notes, long delivery) {
            this.source = source;
            this.notes = notes;
            this.delivery = delivery;
            this.saying = new Saying(source.name(), source::outranks, delivery);

            this.whoIsMeant = numbers.of(source.name(), onFile);
            this.personFields = known.people().with(source.customOfPeople());
            this.eventFields = known.events().with(source.customOfEvents());
        }

        Brought all() {
            writer.addCustomFieldsOfPeople(source.customOfPeople(), known.people());
            writer.addCustomFieldsOfEvents(source.customOfEvents(), known.events());
            try {
                source.read(this);
            } catch (IOException unreadable) {
                throw new UncheckedIOException(unreadable);
            }
            people.addAll(joinedInFile.people());
            writePeople();
            joinedInFile.nameEvents();
            events.addAll(joinedInFile.events());
            writeEvents();
            numbers.keep(whoIsMeant, source.name(), delivery);
            int gone = 0;
            if (source.namesEverybody() && !named.isEmpty()) {
                Changes others = writer.removeOthers(named, notes);
                ofPeople.add(others);
                gone = others.goneRows();
            }
            int goneEvents = 0;
            if (source.isAllOfItsRecords() && !source.name().isEmpty() && !namedEvents.isEmpty()) {
                Changes others = writer.removeOtherEvents(source.name(), kinds, namedEvents, notes);
                ofEvents.add(others);
                goneEvents = others.goneRows();
            }
            unknown.removeAll(named);
            Changes people = ofPeople.whole();
            Changes events = ofEvents.whole();
            Told.Sum told = new Told.Sum();
            told.add(people.told());
            told.add(events.told());
            Set<String> concerned = new HashSet<>(people.people());
            concerned.addAll(events.people());
            return new Brought(
                    counts(people),
                    counts(events),
                    gone,
                    goneEvents,
                    unknown.size(),
                    leftOut,
                    whoIsMeant.mergedOnFile().stream()
                            .map(WhoIsMeant.Both::words)
                            .toList(),
                    concerned,
                    told.whole());
        }

        private static Counts counts(Changes changes) {
            return new Counts(changes.newRows(), changes.changedRows(), changes.unchangedRows());
        }

        @Override
        public void person(PersonRecord said) {
            PersonRecord person = whoIsMeant.by(said);
            if (keptOut.test(person.id())) {
                leftOut++;
                return;
            }
            named.add(person.id());
            if (source.onlyAddsPeople() && onFile.contains(person.id())) {
                return;
            }
            if (joinedInFile.keeps(said.id(), person)) {
                return;
            }
            people.add(person);
            if (people.size() == CHUNK) {
                writePeople();
            }
        }

        @Override
        public void event(EventRecord said) {
            EventRecord event = whoIsMeant.by(said);
            if (keptOut.test(event.personId())) {
                leftOut++;
                return;
            }
            if (!onFile.contains(event.personId())) {
                unknown.add(event.personId());
            }
            if (!joinedInFile.keeps(said.personId(), event)) {
                events.add(event);
            }
            if (source.mayBeAllOfItsRecords()) {
                namedEvents.add(RowMapping.row(event).recordKey());
                kinds.add(event.text("kind"));
            }
            if (events.size() == CHUNK) {
                writeEvents();
            }
        }

        @Override
        public void alsoKnown(String person, String number) {
            if (!keptOut.test(person)) {
                whoIsMeant.alsoKnown(person, number);
            }
        }

        @Override
        public void merged(String person, String number) {
            if (!keptOut.test(person)) {
                whoIsMeant.merged(person, number);
            }
        }

        private void writePeople() {
            ofPeople.add(writer.writePeople(people, source.cleared(), personFields, saying, notes));
            people.clear();
        }

        private void writeEvents() {
            ofEvents.add(writer.writeEvents(
                    events,
                    source.blanksOfEventsClear() ? Over.BLANKS_CLEAR : Over.BLANKS_STAY,
                    eventFields,
                    saying,
                    notes));
            events.clear();
        }
    }
}
