package dipstick.intake;

import dipstick.core.export.FieldCell;
import dipstick.core.records.EventRecord;
import dipstick.core.records.FieldValue;
import dipstick.core.records.PersonRecord;
import dipstick.intake.describe.Intake;
import dipstick.intake.make.MadeSink;
import dipstick.intake.make.PeopleKnown;
import dipstick.intake.make.RecordMaking;
import dipstick.intake.make.Trouble;
import java.io.IOException;
import java.nio.file.Path;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** What an intake makes of a file, in words. */
final class Made implements MadeSink {
    final List<PersonRecord> people = new ArrayList<>();
    final List<EventRecord> events = new ArrayList<>();
    final List<Trouble> troubles = new ArrayList<>();
    final List<String> otherNumbers = new ArrayList<>();
    final List<String> mergedNumbers = new ArrayList<>();
    RecordMaking.Read read = new RecordMaking.Read(0, 0);

    static Made of(Path file, Intake intake) throws IOException {
        return of(file, intake, PeopleKnown.NOBODY);
    }

    static Made of(Path file, Intake intake, PeopleKnown known) throws IOException {
        Made made = new Made();
        made.read = RecordMaking.read(file, intake, ZoneOffset.UTC, known, made);
        return made;
    }

    @Override
    public void person(PersonRecord person) {
        people.add(person);
    }

    @Override
    public void event(EventRecord event) {
        events.add(event);
    }

    @Override
    public void trouble(Trouble trouble) {
        troubles.add(trouble);
    }

    @Override
    public void alsoKnown(String person, String number) {
        otherNumbers.add(person + " " + number);
    }

    @Override
    public void merged(String person, String number) {
        mergedNumbers.add(person + " " + number);
    }

    /** Each person as field=value, in the order of the names of the fields. */
    List<String> peopleInWords() {
        return people.stream().map(person -> words(person.values())).toList();
    }

    List<String> eventsInWords() {
        return events.stream().map(event -> words(event.values())).toList();
    }

    List<String> troublesInWords() {
        return troubles.stream()
                .map(one -> one.line() + " " + one.column() + " " + one.reason())
                .toList();
    }

    private static String words(Map<String, FieldValue> values) {
        Map<String, String> words = new TreeMap<>();
        values.forEach((field, value) -> words.put(field, FieldCell.of(value)));
        return words.toString();
    }
}
