package dipstick.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dipstick.core.records.EventRecord;
import dipstick.core.records.EventsFile;
import dipstick.core.records.Field;
import dipstick.core.records.FieldType;
import dipstick.core.records.Fields;
import dipstick.core.records.PeopleFile;
import dipstick.core.records.PersonRecord;
import dipstick.core.records.RecordFields;
import dipstick.core.records.RowSink;
import dipstick.intake.propose.PlainFile;
import dipstick.intake.propose.Proposal;
import dipstick.intake.propose.Proposing;
import dipstick.intake.rows.UnreadableRows;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Files in our own columns are known as such, and mean what criteria.md says that they do. */
class PlainFileTest {
    private static final Map<String, List<String>> CELLS = Map.of(
            "IDENTIFIER", List.of("7", "007", "x-1"),
            "TEXT", List.of("Marl", " two  words ", "ÄÖ", "n/a", "-", "17/05", "=cmd", "a;b"),
            "DATE", List.of("2024", "2024-05", "2024-05-17", "2024-05-17T23:30:00+02:00", "2024-02-29"),
            "NUMBER", List.of("12", "-0.5", "1e3", "007"),
            "FLAG", List.of("yes", "NO", "true", "0"),
            "TEXTS", List.of("oak", "oak; ash ;", "left ear;spine"),
            "CODINGS", List.of("HC1", "HC1|local; KF1", "a|b|c"));

    @TempDir
    private Path folder;

    private Proposal propose(String text) throws IOException {
        return propose(text, RecordFields.KNOWN);
    }

    private Proposal propose(String text, RecordFields practice) throws IOException {
        Path file = Files.writeString(folder.resolve("file.csv"), text);
        return Proposing.of("file.csv", file, Proposing.Asked.forRecords(2026, practice));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '!', textBlock = """
            id,person_id,kind              ! RECORDS
            "kind";"PERSON_ID";On          ! RECORDS
            id\tfamily_name                ! PEOPLE
            id;Family_Name;frailty:number  ! PEOPLE
            id                             ! PEOPLE
            id,family_name,own column      ! PEOPLE
            Patient ID,Surname,DOB         ! ''
            id,name,dob,tel                ! ''
            id,family_name,gender          ! ''
            person_id,date                 ! ''
            id,family_name,status,status   ! ''
            id,a,b,c,d                     ! ''
            id,family_name,birth_date:flag ! ''
            """)
    void a_plain_file_is_known_by_its_columns(String header, String expected) throws IOException {
        int columns = header.split("[,;\t]").length;
        char between = header.contains("\t") ? '\t' : header.contains(";") ? ';' : ',';
        String row = String.join(String.valueOf(between), Collections.nCopies(columns, "1"));
        Proposal proposal = propose(header.strip() + "\n" + row + "\n");
        assertThat(PlainFile.ofIntake(proposal.intake().id()).map(Enum::name).orElse(""))
                .isEqualTo(expected.strip());
    }

    @Test
    void it_makes_what_the_readers_of_the_format_read_whatever_the_columns() throws IOException {
        Random random = new Random(20261128);
        for (int i = 0; i < 60; i++) {
            boolean ofPeople = i % 2 == 0;
            String text = file(random, ofPeople ? Fields.PERSON : Fields.EVENT);
            Path file = Files.writeString(folder.resolve("file.csv"), text);
            Made made = Made.of(file, propose(text).intake());
            assertThat(made.troublesInWords()).as(text).isEmpty();
            if (ofPeople) {
                assertThat(made.people).as(text).containsExactlyElementsOf(people(file));
            } else {
                assertThat(made.events).as(text).containsExactlyElementsOf(events(file));
            }
        }
    }

    private static String file(Random random, Fields known) {
        List<Field> fields = new ArrayList<>(known.all());
        fields.removeIf(field ->
                random.nextInt(3) == 0 && !List.of("id", "person_id", "kind").contains(field.name()));
        fields.add(new Field("own words", FieldType.TEXT));
        fields.add(new Field("Own Score", FieldType.NUMBER));
        fields.add(new Field("own day", FieldType.DATE));
        Collections.shuffle(fields, random);
        List<List<String>> rows = new ArrayList<>();
        rows.add(fields.stream()
                .map(field -> known.find(field.name()).isPresent()
                        ? random.nextBoolean() ? field.name() : field.name().toUpperCase(Locale.ROOT)
                        : field.type().isText()
                                ? field.name()
                                : field.name() + ":" + field.type().word())
                .toList());
        for (int row = 0; row < 12; row++) {
            int number = row;
            rows.add(fields.stream()
                    .map(field -> switch (field.name()) {
                        case "id" -> "r" + number;
                        case "person_id" -> "p" + number % 3;
                        case "kind" -> "visit";
                        default -> random.nextInt(3) == 0 ? "" : cell(random, field);
                    })
                    .toList());
        }
        return rows.stream()
                .map(row -> row.stream().map(cell -> "\"" + cell + "\"").collect(Collectors.joining(",")))
                .collect(Collectors.joining("\n"));
    }

    private static String cell(Random random, Field field) {
        List<String> cells = CELLS.get(field.type().name());
        return cells.get(random.nextInt(cells.size()));
    }

    private static List<PersonRecord> people(Path file) throws IOException {
        List<PersonRecord> people = new ArrayList<>();
        try (InputStream bytes = Files.newInputStream(file)) {
            PeopleFile.open(bytes, ZoneOffset.UTC).forEach(into(people));
        }
        return people;
    }

    private static List<EventRecord> events(Path file) throws IOException {
        List<EventRecord> events = new ArrayList<>();
        try (InputStream bytes = Files.newInputStream(file)) {
            EventsFile.open(bytes, ZoneOffset.UTC).forEach(into(events));
        }
        return events;
    }

    private static <T> RowSink<T> into(List<T> records) {
        return RowSink.of(records::add, problem -> {
            throw new AssertionError(problem.toString());
        });
    }

    @Test
    void what_is_written_otherwise_than_the_format_says_is_asked_and_not_lost() throws IOException {
        Proposal days = propose("id,birth_date,own note\n1,17/05/1961,03/04/2020\n2,03/04/1958,\n");
        assertThat(days.questions()).isEmpty();
        assertThat(Made.of(folder.resolve("file.csv"), days.intake()).peopleInWords())
                .containsExactly("{birth_date=1961-05-17, id=1, own note=03/04/2020}", "{birth_date=1958-04-03, id=2}");
        assertThat(propose("id,birth_date\n1,03/04/1961\n").questions()).hasSize(1);
        assertThat(propose("id,own note\n1,03/04/1961\n").questions())
                .as("what stands in a text is a text")
                .isEmpty();

        Proposal values = propose("person_id,kind,value\n1,result,>90\n1,result,\"4,2\"\n1,result,negative\n");
        assertThat(Made.of(folder.resolve("file.csv"), values.intake()).eventsInWords())
                .containsExactly(
                        "{kind=result, person_id=1, value=90, value_text=>90}",
                        "{kind=result, person_id=1, value=4.2}",
                        "{kind=result, person_id=1, value_text=negative}");
    }

    @Test
    void an_own_field_is_of_the_type_that_it_has_in_the_practice() throws IOException {
        RecordFields practice = RecordFields.withCustom(List.of(new Field("height", FieldType.NUMBER)), List.of());
        Proposal proposal = propose("id,height\n1,180\n", practice);
        assertThat(Made.of(folder.resolve("file.csv"), proposal.intake())
                        .people
                        .getFirst()
                        .values()
                        .get("height")
                        .toString())
                .contains("180.0");
        assertThatThrownBy(() -> propose("id,height:date\n1,2020\n", practice))
                .isInstanceOf(UnreadableRows.class)
                .hasMessageContaining("another type");
        assertThat(Optional.of(propose("id,height:number\n1,180\n", practice).questions()))
                .hasValueSatisfying(questions -> assertThat(questions).isEmpty());
    }
}
