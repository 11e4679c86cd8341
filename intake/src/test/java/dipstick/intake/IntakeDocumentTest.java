package dipstick.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import dipstick.intake.describe.Intake;
import dipstick.intake.describe.IntakeDocument;
import dipstick.intake.describe.InvalidIntake;
import dipstick.intake.describe.Lengths;
import dipstick.intake.make.Trouble;
import dipstick.intake.propose.Proposing;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class IntakeDocumentTest {
    private static final Schema SCHEMA = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
            .getSchema(IntakeDocument.schema());

    /** Everything that a document may say. */
    static final String WHOLE = """
            {"format": "dipstick-intake/1", "id": "lab", "name": "Laboratory", "source": "Harbour lab",
             "table": {"encoding": "windows-1252", "separator": ";", "headerLines": 1,
                       "columns": ["No", "Name", "Taken", "Result", "Tags"],
                       "leaveOut": [{"column": "No", "startsWith": "total"}]},
             "written": {"dates": "day-first", "turningYear": 40, "decimal": "comma", "empty": ["n/a"]},
             "whose": {"number": {"column": "No"}},
             "people": {"fields": {"family_name": {"column": "Name", "part": {"split": ",", "take": 1}},
                                   "given_name": {"column": "Name", "part": {"split": ",", "take": 2}},
                                   "frailty:number": {"column": "Frail"}},
                        "meaning": "only-adds", "blanksClear": true},
             "events": [{"fields": {"kind": {"constant": "result"}, "on": {"column": "Taken"},
                                    "value": {"column": "Result"},
                                    "status": {"column": "State", "values": {"F": "final"}, "others": "leave-out"},
                                    "text": {"columns": ["Panel", "Test"], "joined": ": "},
                                    "keywords": {"column": "Tags", "split": ","}},
                         "identity": [{"column": "No"}, {"column": "Taken"}],
                         "unlessBlank": ["Taken"]},
                        {"fields": {"kind": {"constant": "document"}, "text": {"each": "cell"}},
                         "each": {"columns": ["Letters"], "split": ","}}]}
            """;

    @TempDir
    private Path folder;

    @Test
    void a_document_comes_back_as_it_was() throws Exception {
        Intake intake = IntakeDocument.read(WHOLE);
        String written = IntakeDocument.written(intake);

        assertThat(IntakeDocument.read(written)).isEqualTo(intake);
        assertThat(SCHEMA.validate(WHOLE, InputFormat.JSON)).isEmpty();
        assertThat(SCHEMA.validate(written, InputFormat.JSON)).isEmpty();
    }

    @Test
    void what_is_proposed_is_a_document() throws Exception {
        Path file = Files.writeString(
                folder.resolve("x.csv"),
                "Patient ID,Surname,DOB,Test,Result,Date\n1,Marl,17/05/1961,K,\"4,1\",1/12/2026\n");
        String written = IntakeDocument.written(
                Proposing.of("x.csv", file, Proposing.Asked.in(2026)).intake());
        assertThat(SCHEMA.validate(written, InputFormat.JSON)).as(written).isEmpty();
        assertThat(IntakeDocument.written(IntakeDocument.read(written))).isEqualTo(written);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"id\": \"lab\", | \"id\": \" \", | /id",
                "\"constant\": \"result\" | \"constant\": \"result\", \"column\": \"X\" | /events/0/fields/kind",
                "\"kind\": {\"constant\": \"document\"}, | | /events/1/fields",
                "\"family_name\" | \"family_name:date\" | /people/fields/family_name:date",
                "{\"number\": {\"column\": \"No\"}} | {} | /whose",
                "\"day-first\" | \"sometimes\" | /written/dates",
                "\"source\" | \"sorce\" | /sorce",
                "dipstick-intake/1 | dipstick-intake/2 | /format",
            })
    void each_mistake_is_named_with_its_spot(String right, String wrong, String pointer) {
        String document = WHOLE.replace(right, wrong == null ? "" : wrong);
        assertThat(document).isNotEqualTo(WHOLE);
        InvalidIntake refused = catchThrowableOfType(InvalidIntake.class, () -> IntakeDocument.read(document));
        assertThat(refused.problems()).anyMatch(problem -> problem.startsWith(pointer + ":"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"day-first\" | \"sometimes\" | “sometimes” is none of what can stand here.",
                "\"source\" | \"sorce\" | nothing of this name is known here.",
                "{\"column\": \"Result\"} | [\"Result\"] | an object should stand here.",
                "[\"Taken\"] | \"Taken\" | a list should stand here.",
                "\"headerLines\": 1 | \"headerLines\": \"one\" | “one” is none of what can stand here.",
                "\"headerLines\": 1 | \"headerLines\": [] | a whole number should stand here.",
                "\"Laboratory\" | {} | a text should stand here.",
                "\"blanksClear\": true | \"blanksClear\": {} | true or false should stand here.",
            })
    void what_cannot_stand_somewhere_is_said_in_words(String right, String wrong, String said) {
        String document = WHOLE.replace(right, wrong);
        assertThat(document).isNotEqualTo(WHOLE);
        InvalidIntake refused = catchThrowableOfType(InvalidIntake.class, () -> IntakeDocument.read(document));
        assertThat(refused.problems()).singleElement().asString().endsWith(": " + said);
    }

    @Test
    void names_that_are_too_long_to_be_kept_are_refused() throws Exception {
        String source = "s".repeat(Lengths.SOURCE);
        String field = "f".repeat(Lengths.FIELD_NAME);
        String longest = WHOLE.replace("Harbour lab", source).replace("frailty", field);
        assertThat(IntakeDocument.read(longest).source()).isEqualTo(source);

        String longer = WHOLE.replace("Harbour lab", source + "s").replace("frailty", field + "f");
        InvalidIntake refused = catchThrowableOfType(InvalidIntake.class, () -> IntakeDocument.read(longer));
        assertThat(refused.problems())
                .containsExactly(
                        "/source: a source's name has at most 200 characters.",
                        "/people/fields/" + field + "f:number: a field's name has at most 200 characters.");
        assertThat(SCHEMA.validate(longer, InputFormat.JSON)).isNotEmpty();
    }

    @ParameterizedTest
    @CsvSource({"''", "[", "null", "[]", "7"})
    void what_is_no_document_at_all_is_refused(String text) {
        InvalidIntake refused = catchThrowableOfType(InvalidIntake.class, () -> IntakeDocument.read(text));
        assertThat(refused.problems()).hasSize(1);
    }

    @Test
    void every_part_of_it_does_what_it_says() throws Exception {
        Path file =
                Files.write(folder.resolve("lab.csv"), """
                No;Name;Taken;Result;Tags;State;Panel;Test;Frail;Letters
                1;Marl, Ada;1/2/26;1.204,5;oak, ash ,;F;Blood;K;3,5;first , second
                2;Vask,Bo;n/a;3;;F;;;;
                3;Tove;2.2.39;>7;;prelim;;K;;
                total;;;;;;;;;
                4;Ard;1/2/41;5
                5;Ard;;;;;;;x;
                """.getBytes(java.nio.charset.Charset.forName("windows-1252")));
        Made made = Made.of(file, IntakeDocument.read(WHOLE));

        assertThat(made.peopleInWords())
                .containsExactly(
                        "{family_name=Marl, frailty=3.5, given_name=Ada, id=1}",
                        "{family_name=Vask, given_name=Bo, id=2}",
                        "{family_name=Tove, id=3}");
        assertThat(made.eventsInWords())
                .containsExactly(
                        "{id=Harbour lab/1/1/2/26, keywords=oak; ash, kind=result, on=2026-02-01, person_id=1,"
                                + " source=Harbour lab, status=final, text=Blood: K, value=1204.5}",
                        "{kind=document, person_id=1, source=Harbour lab, text=first}",
                        "{kind=document, person_id=1, source=Harbour lab, text=second}");
        assertThat(made.troublesInWords())
                .containsExactly("4 State WORD_UNKNOWN", "6  OTHER_CELLS", "7 Frail NO_NUMBER");
        assertThat(made.read).isEqualTo(new dipstick.intake.make.RecordMaking.Read(5, 1));
    }

    @Test
    void rows_that_nothing_says_whose_they_are_are_nobodys() throws Exception {
        Path file = Files.writeString(folder.resolve("colours.csv"), "Colour,Shape\nred,round\n");
        Intake intake =
                Proposing.of("colours.csv", file, Proposing.Asked.in(2026)).intake();
        Made made = Made.of(file, intake, _ -> List.of("the only one on file"));
        assertThat(made.people).isEmpty();
        assertThat(made.events).isEmpty();
        assertThat(made.troublesInWords()).containsExactly("2  NO_PERSON");
    }

    @Test
    void rows_are_of_those_on_file_who_fit_and_of_nobody_else() throws Exception {
        Intake intake = IntakeDocument.read("""
                {"format": "dipstick-intake/1", "id": "v", "name": "V",
                 "whose": {"by": {"birth_date": {"column": "born"}, "family_name": {"column": "name"}}},
                 "events": [{"fields": {"kind": {"constant": "visit"}}}]}""");
        Path file = Files.writeString(
                folder.resolve("v.csv"), "name,born\nMarl,1950-02-03\nVask,1951\nTove,1952\n,1953\nWend,1954\n");
        Made made = Made.of(
                file, intake, fields -> switch (fields.get("family_name").toString()) {
                    case "OfText[text=Marl]" -> List.of("p1");
                    case "OfText[text=Vask]" -> List.of("p2", "p3");
                    case "OfText[text=Wend]" -> List.of("1", "2", "3", "4", "5", "6", "7");
                    default -> List.of();
                });
        assertThat(made.eventsInWords()).containsExactly("{kind=visit, person_id=p1}");
        assertThat(made.troublesInWords())
                .containsExactly(
                        "3  PERSON_FOUND_TWICE", "4  PERSON_NOT_FOUND", "5  NO_PERSON", "6  PERSON_FOUND_TWICE");
        assertThat(made.troubles)
                .extracting(Trouble::said)
                .contains(
                        "Several people on file fit: p2, p3.", "Several people on file fit: 1, 2, 3, 4, 5 and 2 more.");
    }
}
