package dipstick.command;

import de.siegmar.fastcsv.writer.CsvWriter;
import dipstick.core.export.FieldCell;
import dipstick.core.records.EventRecord;
import dipstick.core.records.Field;
import dipstick.core.records.Fields;
import dipstick.core.records.PersonRecord;
import dipstick.intake.describe.Intake;
import dipstick.intake.make.MadeSink;
import dipstick.intake.make.RecordMaking;
import dipstick.intake.make.Trouble;
import java.io.Closeable;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Stream;

/** People and events as our plain CSV files (criteria.md section 1), written aside until they are whole. */
final class PlainFiles implements Closeable {
    private final Path people;
    private final Path events;
    private final List<Field> personFields;
    private final List<Field> eventFields;
    private final CsvWriter peopleCsv;
    private final CsvWriter eventsCsv;
    private boolean finished;

    PlainFiles(Path folder, Intake intake) throws IOException {
        this.people = folder.resolve("people.csv");
        this.events = folder.resolve("events.csv");
        this.personFields = Stream.concat(Fields.PERSON.all().stream(), RecordMaking.customOfPeople(intake).stream())
                .toList();
        this.eventFields = Stream.concat(Fields.EVENT.all().stream(), RecordMaking.customOfEvents(intake).stream())
                .toList();
        this.peopleCsv = CsvWriter.builder().build(people);
        this.eventsCsv = CsvWriter.builder().build(events);
        peopleCsv.writeRecord(header(personFields, Fields.PERSON));
        eventsCsv.writeRecord(header(eventFields, Fields.EVENT));
    }

    private static List<String> header(List<Field> fields, Fields known) {
        return fields.stream().map(field -> FieldCell.header(field, known)).toList();
    }

    Path people() {
        return people;
    }

    Path events() {
        return events;
    }

    MadeSink sink(Consumer<Trouble> troubles) {
        return new MadeSink() {
            @Override
            public void person(PersonRecord person) {
                peopleCsv.writeRecord(FieldCell.row(person.values(), personFields));
            }

            @Override
            public void event(EventRecord event) {
                eventsCsv.writeRecord(FieldCell.row(event.values(), eventFields));
            }

            @Override
            public void trouble(Trouble trouble) {
                troubles.accept(trouble);
            }
        };
    }

    /** Writes what is still held back; once is enough. */
    void finish() throws IOException {
        if (!finished) {
            finished = true;
            peopleCsv.close();
            eventsCsv.close();
        }
    }

    /** Puts a file where it is wanted; false where that is refused. */
    boolean moved(Optional<Path> wanted, Path written, PrintWriter err) {
        if (wanted.isEmpty()) {
            return true;
        }
        Path target = wanted.get().toAbsolutePath();
        try {
            Files.move(written, target, StandardCopyOption.REPLACE_EXISTING);
            return true;
        } catch (IOException refused) {
            err.println(target + ": it cannot be written: " + refused.getMessage());
            return false;
        }
    }

    @Override
    public void close() throws IOException {
        finish();
    }
}
