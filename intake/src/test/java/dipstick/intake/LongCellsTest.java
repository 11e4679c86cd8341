package dipstick.intake;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.records.RecordFields;
import dipstick.intake.describe.Intake;
import dipstick.intake.describe.IntakeDocument;
import dipstick.intake.describe.Lengths;
import dipstick.intake.propose.Proposing;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is too long to be kept is left out and told; what stands beside it comes in. */
class LongCellsTest {
    private static final String LONGEST = "9".repeat(Lengths.NUMBER);

    @TempDir
    private Path folder;

    private Made plain(String text) throws IOException {
        Path file = Files.writeString(folder.resolve("file.csv"), text);
        Intake intake = Proposing.of("file.csv", file, Proposing.Asked.forRecords(2026, RecordFields.KNOWN))
                .intake();
        return Made.of(file, intake);
    }

    @Test
    void a_person_of_too_long_a_number_is_left_out_alone() throws Exception {
        Made made = plain("id;family_name\n" + LONGEST + ";Marl\n" + LONGEST + "1;Vask\n7;Tove\n");
        assertThat(made.peopleInWords())
                .containsExactly("{family_name=Marl, id=" + LONGEST + "}", "{family_name=Tove, id=7}");
        assertThat(made.troublesInWords()).containsExactly("3  TOO_LONG");
    }

    @Test
    void a_record_of_too_long_a_number_is_left_out_alone() throws Exception {
        Made made = plain("person_id;kind;id\n7;visit;" + LONGEST + "\n7;visit;" + LONGEST + "1\n7;visit;\n");
        assertThat(made.eventsInWords())
                .containsExactly("{id=" + LONGEST + ", kind=visit, person_id=7}", "{kind=visit, person_id=7}");
        assertThat(made.troublesInWords()).containsExactly("3  TOO_LONG");
    }

    @Test
    void a_further_number_that_is_too_long_is_left_out_of_its_row() throws Exception {
        Intake intake = IntakeDocument.read("""
                {"format": "dipstick-intake/1", "id": "v", "name": "V",
                 "whose": {"number": {"column": "no"}, "others": {"column": "also"}},
                 "events": [{"fields": {"kind": {"constant": "visit"}}}]}""");
        Path file = Files.writeString(folder.resolve("v.csv"), "no,also\n7,A;" + LONGEST + "1;B\n");
        Made made = Made.of(file, intake);
        assertThat(made.otherNumbers).containsExactly("7 A", "7 B");
        assertThat(made.eventsInWords()).containsExactly("{kind=visit, person_id=7}");
        assertThat(made.troublesInWords()).containsExactly("2 also LEFT_BLANK");
    }

    @Test
    void what_is_kept_of_one_is_not_longer_than_can_be_kept() throws Exception {
        String most = "x".repeat(Lengths.RECORD - "7".length());
        assertThat(plain("id;family_name\n7;" + most + "\n").people).hasSize(1);

        Made people = plain("id;family_name\n7;" + most + "x\n8;Tove\n");
        assertThat(people.peopleInWords()).containsExactly("{family_name=Tove, id=8}");
        assertThat(people.troublesInWords()).containsExactly("2  TOO_LONG");

        Made records = plain("person_id;kind;text;keywords\n7;visit;" + most + ";oak\n7;visit;x;oak\n");
        assertThat(records.eventsInWords()).hasSize(1);
        assertThat(records.troublesInWords()).containsExactly("2  TOO_LONG");
    }

    @Test
    void a_long_cell_is_told_by_its_beginning() throws Exception {
        String beginning = "🦶".repeat(29);
        Made made = plain("id;birth_date\n7;" + beginning.repeat(9) + "\n");
        assertThat(made.troubles).singleElement().satisfies(trouble -> {
            assertThat(trouble.cell()).isEqualTo(beginning + "…");
            assertThat(trouble.said()).isEqualTo("“" + beginning + "…” is not a date of a day that exists.");
        });
    }

    @Test
    void a_column_of_too_long_a_name_makes_no_field() throws Exception {
        String longest = "f".repeat(Lengths.FIELD_NAME);
        Made made = plain("id;family_name;" + longest + ";" + longest + "f\n7;Marl;kept;not kept\n");
        assertThat(made.peopleInWords()).containsExactly("{family_name=Marl, " + longest + "=kept, id=7}");
        assertThat(made.troubles).isEmpty();
    }
}
