package dipstick.server.records;

import dipstick.core.records.EventRecord;
import dipstick.core.records.Fields;
import dipstick.core.records.PersonRecord;
import dipstick.core.records.RecordFields;
import dipstick.server.personal.Erased;
import dipstick.server.records.RecordsIn.Brought;
import dipstick.server.records.RecordsIn.Counts;
import dipstick.server.records.RecordsIn.Sink;
import dipstick.server.records.RecordsIn.Source;
import dipstick.server.records.RecordsWriter.Over;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/** One file as it is written: what it names, what is left out of it, and what came of it. */
final class FileWritten implements Sink {
    private static final int CHUNK = 1000;

    private final RecordsWriter writer;
    private final FileNumbers numbers;
    private final Source source;
    private final Optional<DeliveryNotes> notes;
    private final RecordFields known;
    private final Predicate<String> keptOut;
    private final Set<String> onFile;
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
    private final JoinedInFile joinedInFile;

    /**
     * @param notes where what was before is kept, so that it can be taken back; nothing for a trial
     * @param delivery its number in the log; 0 for a trial
     */
    FileWritten(
            RecordsWriter writer,
            RecordsLoader loader,
            FileNumbers numbers,
            Erased erased,
            Source source,
            Optional<DeliveryNotes> notes,
            long delivery) {
        this.writer = writer;
        this.numbers = numbers;
        this.source = source;
        this.notes = notes;
        this.delivery = delivery;
        this.known = loader.fields();
        this.keptOut = erased.keptOut();
        this.onFile = loader.personIds();
        this.saying = new Saying(source.name(), source::outranks, delivery);
        this.whoIsMeant = numbers.of(source.name(), onFile);
        this.joinedInFile = numbers.joinedInFile();
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
                whoIsMeant.mergedOnFile().stream().map(WhoIsMeant.Both::words).toList(),
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
