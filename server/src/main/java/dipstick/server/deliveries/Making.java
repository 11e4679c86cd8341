package dipstick.server.deliveries;

import dipstick.core.records.EventRecord;
import dipstick.core.records.Field;
import dipstick.core.records.FieldValue;
import dipstick.core.records.Fields;
import dipstick.core.records.PersonRecord;
import dipstick.intake.describe.Intake;
import dipstick.intake.describe.Meaning;
import dipstick.intake.make.MadeSink;
import dipstick.intake.make.PeopleKnown;
import dipstick.intake.make.RecordMaking;
import dipstick.intake.make.Trouble;
import dipstick.server.records.RecordsIn;
import java.io.IOException;
import java.nio.file.Path;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Function;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;

/** Makes records of a file as its intake says, for {@link RecordsIn}; the watch sees all of it, and what cannot be made. */
final class Making implements RecordsIn.Source {
    private final Path file;
    private final Intake intake;
    private final ZoneId zone;
    private final Function<Map<String, FieldValue>, List<String>> known;
    private final MadeSink watch;
    private final ToIntFunction<String> ranks;
    private final AtomicInteger rowsSoFar = new AtomicInteger();
    private boolean isInPart;
    private RecordMaking.Read read = new RecordMaking.Read(0, 0);

    /** @param ranks of a source by its name */
    Making(
            Path file,
            Intake intake,
            ZoneId zone,
            Function<Map<String, FieldValue>, List<String>> known,
            ToIntFunction<String> ranks,
            MadeSink watch) {
        this.file = file;
        this.intake = intake;
        this.zone = zone;
        this.known = known;
        this.ranks = ranks;

        this.watch = watch;
    }

    Intake intake() {
        return intake;
    }

    /** How many rows were read until now; anybody may ask. */
    int rowsSoFar() {
        return rowsSoFar.get();
    }

    RecordMaking.Read rows() {
        return read;
    }

    @Override
    public String name() {
        return intake.source();
    }

    @Override
    public boolean outranks(String other) {
        return intake.rank().orElse(0) > ranks.applyAsInt(other);
    }

    @Override
    public List<Field> customOfPeople() {
        return RecordMaking.customOfPeople(intake);
    }

    @Override
    public List<Field> customOfEvents() {
        return RecordMaking.customOfEvents(intake);
    }

    @Override
    public Set<String> cleared() {
        return intake.people()
                .filter(Intake.PeopleOf::blanksClear)
                .map(people -> people.fields().keySet().stream()
                        .flatMap(name -> Fields.PERSON.written(name).stream())
                        .map(Field::name)
                        .collect(Collectors.toUnmodifiableSet()))
                .orElse(Set.of());
    }

    @Override
    public boolean onlyAddsPeople() {
        return intake.people()
                .filter(people -> people.meaning() == Meaning.ONLY_ADDS)
                .isPresent();
    }

    /** Whoever stands in a row that cannot be read is named all the same: then nobody goes. */
    @Override
    public boolean namesEverybody() {
        return meansEverybody() && !isInPart;
    }

    /** Whether the file is to name everybody, though a row that cannot be read keeps all on file. */
    boolean keepsEverybody() {
        return meansEverybody() && isInPart;
    }

    private boolean meansEverybody() {
        return intake.people()
                .filter(people -> people.meaning() == Meaning.NAMES_EVERYBODY)
                .isPresent();
    }

    @Override
    public boolean blanksOfEventsClear() {
        return intake.events().stream().anyMatch(Intake.EventsOf::blanksClear);
    }

    @Override
    public boolean mayBeAllOfItsRecords() {
        return intake.events().stream().anyMatch(Intake.EventsOf::everything);
    }

    /** A record whose row cannot be read is there all the same: then none goes. */
    @Override
    public boolean isAllOfItsRecords() {
        return mayBeAllOfItsRecords() && !isInPart;
    }

    @Override
    public void read(RecordsIn.Sink sink) throws IOException {
        PeopleKnown people = known::apply;
        rowsSoFar.set(0);
        read = RecordMaking.read(file, intake, zone, people, new MadeSink() {
            @Override
            public void row() {
                rowsSoFar.incrementAndGet();
            }

            @Override
            public void person(PersonRecord person) {
                watch.person(person);
                sink.person(person);
            }

            @Override
            public void event(EventRecord event) {
                watch.event(event);
                sink.event(event);
            }

            @Override
            public void alsoKnown(String person, String number) {
                sink.alsoKnown(person, number);
            }

            @Override
            public void merged(String person, String number) {
                sink.merged(person, number);
            }

            @Override
            public void trouble(Trouble trouble) {
                isInPart |= trouble.reason().losesRow();
                watch.trouble(trouble);
            }
        });
    }
}
