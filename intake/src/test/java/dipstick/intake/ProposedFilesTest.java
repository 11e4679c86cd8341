package dipstick.intake;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.intake.files.RowsFile;
import dipstick.intake.propose.Proposal;
import dipstick.intake.propose.Proposal.Choice;
import dipstick.intake.propose.Proposal.Question;
import dipstick.intake.propose.Proposal.What;
import dipstick.intake.propose.Proposing;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.Optional;
import java.util.zip.GZIPOutputStream;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Files as other systems write them: what is proposed for them, and what it makes. */
class ProposedFilesTest {
    @TempDir
    private Path folder;

    private Path write(String name, String text, Charset charset) throws IOException {
        return Files.write(folder.resolve(name), text.getBytes(charset));
    }

    private Path write(String name, String text) throws IOException {
        return write(name, text, StandardCharsets.UTF_8);
    }

    private static Proposal propose(Path file) throws IOException {
        return Proposing.of(String.valueOf(file.getFileName()), file, Proposing.Asked.in(2026));
    }

    private static Made made(Path file) throws IOException {
        return Made.of(file, propose(file).intake());
    }

    @Test
    void people_of_another_system_with_days_first_and_names_in_one_cell() throws IOException {
        Path file = write("Patients 2026-11.csv", """
                sep=;
                Patient List;;;;
                printed 27/11/2026;;;;
                Patient ID;Name;DOB;Gender;Mobile Phone;Loyalty
                0012;Marl, Ada;17/05/1961;F;01632 960001;gold
                0013;Vask, Bo;03/04/1958;M;-;
                Total;;;;;2
                """, Charset.forName("windows-1252"));
        Proposal proposal = propose(file);

        assertThat(proposal.questions()).isEmpty();
        assertThat(proposal.headerLine()).isEqualTo(4);
        assertThat(proposal.choices())
                .filteredOn(choice -> choice.becomes().isEmpty())
                .extracting(Choice::column)
                .as("left out, by name")
                .containsExactly("Loyalty");
        Made made = made(file);
        assertThat(made.peopleInWords())
                .containsExactly(
                        "{birth_date=1961-05-17, family_name=Marl, given_name=Ada, id=0012, mobile=01632 960001, sex=female}",
                        "{birth_date=1958-04-03, family_name=Vask, given_name=Bo, id=0013, sex=male}");
        assertThat(made.events).isEmpty();
        assertThat(made.troubles).isEmpty();
        assertThat(made.read.leftOut()).as("the total is no person").isEqualTo(1);
    }

    @Test
    void a_date_that_could_be_either_way_is_asked_and_decides_nothing() throws IOException {
        Path file = write("people.csv", "Patient No,Surname,Born\n1,Marl,03/04/1961\n2,Vask,05/06/1970\n");
        Proposal proposal = propose(file);

        assertThat(proposal.questions()).extracting(Question::what).containsExactly(What.DATE_ORDER);
        assertThat(made(file).troublesInWords()).containsExactly("2 Born DATE_EITHER_WAY", "3 Born DATE_EITHER_WAY");
    }

    @Test
    void results_with_decimal_commas_bounds_words_and_a_total_below() throws IOException {
        Path file = write("labor_2026.txt", """
                Patientennummer\tNachname\tGeburtsdatum\tUntersuchung\tWert\tEinheit\tAbnahmedatum
                7\tMärl\t17.05.1961\tKalium\t4,2\tmmol/L\t03.11.2026
                7\tMärl\t17.05.1961\teGFR\t>90\tmL/min\t03.11.2026 08:15
                8\tVask\t02.12.1958\tTroponin\tnegativ\t\t14.11.26
                8\tVask\t02.12.1958\tKalium\t1.234,5\tmmol/L\t29.02.2023
                """, StandardCharsets.ISO_8859_1);
        Made made = made(file);

        assertThat(propose(file).questions()).isEmpty();
        assertThat(made.peopleInWords())
                .containsExactly(
                        "{birth_date=1961-05-17, family_name=Märl, id=7}",
                        "{birth_date=1958-12-02, family_name=Vask, id=8}");
        assertThat(made.eventsInWords())
                .containsExactly(
                        "{kind=result, on=2026-11-03, person_id=7, source=labor, text=Kalium, unit=mmol/L, value=4.2}",
                        "{kind=result, on=2026-11-03, person_id=7, source=labor, text=eGFR, unit=mL/min, value=90,"
                                + " value_text=>90}",
                        "{kind=result, on=2026-11-14, person_id=8, source=labor, text=Troponin, value_text=negativ}");
        assertThat(made.troublesInWords()).as("there is no such day").containsExactly("5 Abnahmedatum NO_DATE");
    }

    @Test
    void appointments_in_a_workbook_with_real_days_a_title_and_people_beside_them() throws IOException {
        Path file = folder.resolve("appointments.xlsx");
        try (OutputStream out = Files.newOutputStream(file);
                Workbook workbook = new Workbook(out, "test", "1.0")) {
            Worksheet sheet = workbook.newWorksheet("Week 48");
            sheet.value(0, 0, "Appointments of the week");
            String[] header = {"Patient Number", "First Name", "Last Name", "Tel", "Appointment Date", "Status", "With"
            };
            for (int i = 0; i < header.length; i++) {
                sheet.value(2, i, header[i]);
            }
            sheet.value(3, 0, 4711);
            sheet.value(3, 1, "Ada");
            sheet.value(3, 2, "Marl");
            sheet.value(3, 3, "01632 960001");
            sheet.value(3, 4, LocalDateTime.of(2026, 11, 30, 9, 20));
            sheet.style(3, 4).format("dd/mm/yyyy hh:mm").set();
            sheet.value(3, 5, "DNA");
            sheet.value(3, 6, "Dr Quillon");
            workbook.newWorksheet("Week 49").value(0, 0, "nothing yet");
        }
        assertThat(propose(file).format()).endsWith(", Week 48 of its sheets: Week 48, Week 49");
        Proposal other = Proposing.of(
                "appointments.xlsx",
                file,
                Proposing.Asked.in(2026)
                        .readAs(new RowsFile.Said(Optional.empty(), Optional.empty(), Optional.of("Week 49"))));
        assertThat(propose(file).intake().table().sheet())
                .as("the first, whatever it is called next week")
                .isEmpty();
        assertThat(other.intake().table().sheet()).contains("Week 49");
        assertThat(other.readAs().sheet()).isEqualTo("Week 49");
        assertThat(other.intake().table().columns()).containsExactly("nothing yet");
        Made made = made(file);

        assertThat(made.eventsInWords())
                .containsExactly("{kind=appointment, on=2026-11-30, person_id=4711, provider=Dr Quillon,"
                        + " source=appointments, status=no show}");
        assertThat(made.peopleInWords())
                .containsExactly("{family_name=Marl, given_name=Ada, id=4711, phone=01632 960001}");
        assertThat(made.troubles).isEmpty();
    }

    @Test
    void a_column_for_each_test_becomes_a_record_for_each_value() throws IOException {
        Path file = write(
                "bloods.csv",
                "patient_id,sample date,Sodium,Potassium,Urea\np1,2026-11-03,140,4.1,\np2,2026-11-04,,5.0,7\n");
        assertThat(made(file).events)
                .extracting(event -> event.personId() + " " + event.text("text") + " "
                        + event.number("value").orElseThrow())
                .containsExactly("p1 Sodium 140.0", "p1 Potassium 4.1", "p2 Potassium 5.0", "p2 Urea 7.0");
    }

    @Test
    void a_header_over_two_lines_is_one_name_for_each_column() throws IOException {
        Path file = write("bp.csv", """
                Patient ID,Visit,,Blood pressure,
                ,date,,systolic,diastolic
                1,2026-11-03,,140,80
                2,2026-11-04,,150,90
                """);
        Made made = made(file);
        assertThat(made.events)
                .extracting(event ->
                        event.text("text") + " " + event.number("value").orElseThrow())
                .containsExactly(
                        "Blood pressure systolic 140.0",
                        "Blood pressure diastolic 80.0",
                        "Blood pressure systolic 150.0",
                        "Blood pressure diastolic 90.0");
    }

    @Test
    void two_systems_encodings_and_compression_give_the_same() throws IOException {
        String text = "Patient ID\tSurname\tDate of Birth\nä1\tÖrn\t17/05/1961\n";
        Path wide = write("wide.csv", "\uFEFF" + text, StandardCharsets.UTF_16LE);
        Path unmarked = write("unmarked.csv", text, StandardCharsets.UTF_16BE);
        Path plain = write("plain.csv", text);
        Path zipped = folder.resolve("plain.csv.gz");
        try (OutputStream out = new GZIPOutputStream(Files.newOutputStream(zipped))) {
            Files.copy(plain, out);
        }
        Path unzipped = dipstick.intake.files.Packed.files("plain.csv.gz", zipped, folder)
                .getFirst()
                .file();
        for (Path file : new Path[] {wide, unmarked, plain, unzipped}) {
            assertThat(made(file).peopleInWords())
                    .as(file.toString())
                    .containsExactly("{birth_date=1961-05-17, family_name=Örn, id=ä1}");
        }
    }

    @Test
    void who_has_no_number_is_known_by_name_birth_date_and_postcode() throws IOException {
        Path file = write("nonumber.csv", """
                Surname,Forename,DOB,Postcode,Vaccine,Date given
                Marl,Ada,1961-05-17,ZZ1 2CD,Influenza,2026-10-01
                MARL,ada,1961-05-17,zz1  2cd,Shingles,2026-10-02
                Vask,,1958,ZZ1 2CD,Influenza,2026-10-01
                """);
        Made made = made(file);
        assertThat(made.events)
                .extracting(event -> event.personId() + ": " + event.kind() + " " + event.text("text"))
                .containsExactly(
                        "marl ada 1961-05-17 zz1 2cd: vaccination Influenza",
                        "marl ada 1961-05-17 zz1 2cd: vaccination Shingles");
        assertThat(made.troublesInWords()).contains("4  NO_PERSON");
    }
}
