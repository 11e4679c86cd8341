package dipstick.server.demo;

import dipstick.core.records.FieldValue;
import dipstick.server.deliveries.SampleFiles;
import dipstick.server.practice.Today;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.Locale;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** Exports as systems of the invented practice and beside it write them, to try them with. */
@Component
@ConditionalOnProperty("dipstick.demo")
class DemoSamples implements SampleFiles {
    private static final String LINE_END = "\r\n";
    private static final int PEOPLE = 40;
    private static final long SEED = 77;
    private static final DateTimeFormatter DAY_FIRST = DateTimeFormatter.ofPattern("dd/MM/yyyy", Locale.ROOT);
    private static final List<String> STATES = List.of("Booked", "Booked", "Attended", "DNA", "Cancelled");

    private final Today today;

    DemoSamples(Today today) {
        this.today = today;
    }

    @Override
    public List<Sample> all() {
        return List.of(
                new Sample("appointments.xlsx", "a clinic system's appointments, in a workbook", this::appointments),
                new Sample("laboratory.csv", "a laboratory's results, days first and decimal commas", this::laboratory),
                new Sample(
                        "vaccinations.ndjson",
                        "a region's vaccinations, in FHIR",
                        () -> feeds().vaccinations().getBytes(StandardCharsets.UTF_8)),
                new Sample(
                        "hospital.hl7",
                        "a hospital's messages, in HL7",
                        () -> feeds().hospital().getBytes(StandardCharsets.UTF_8)));
    }

    private DemoFeeds feeds() {
        return new DemoFeeds(this::person, today.day());
    }

    private DemoPerson person(int number) {
        int one = number * 137 % 6000;
        return DemoPerson.of(one, Chance.of(DemoStart.SEED, one), today.day());
    }

    private static String text(DemoPerson person, String field) {
        return person.record().values().get(field) instanceof FieldValue.OfText(String text) ? text : "";
    }

    private byte[] appointments() {
        Chance chance = Chance.of(SEED, 1);
        LocalDate monday = today.day().with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (Workbook workbook = new Workbook(bytes, "Dipstick", "1.0")) {
            Worksheet sheet = workbook.newWorksheet("Week");
            sheet.value(0, 0, "Appointments of the week from " + DAY_FIRST.format(monday));
            List<String> header = List.of(
                    "Patient ID",
                    "Surname",
                    "Forename",
                    "Mobile No",
                    "Appointment Date",
                    "Slot Type",
                    "Clinician",
                    "Status",
                    "Room");
            for (int column = 0; column < header.size(); column++) {
                sheet.value(2, column, header.get(column));
            }
            for (int i = 0; i < PEOPLE; i++) {
                DemoPerson person = person(i + 1);
                int row = i + 3;
                sheet.value(row, 0, person.id());
                sheet.value(row, 1, text(person, "family_name"));
                sheet.value(row, 2, text(person, "given_name"));
                sheet.value(row, 3, text(person, "mobile"));
                sheet.value(
                        row,
                        4,
                        monday.plusDays(chance.between(0, 11))
                                .atTime(chance.between(8, 17), 10 * chance.between(0, 5)));
                sheet.style(row, 4).format("dd/mm/yyyy hh:mm").set();
                sheet.value(row, 5, chance.of(List.of("Review", "Hearing check", "Blood test", "Vaccination")));
                sheet.value(row, 6, person.provider());
                sheet.value(row, 7, chance.of(STATES));
                sheet.value(row, 8, "Room " + chance.between(1, 6));
            }
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        }
        return bytes.toByteArray();
    }

    private byte[] laboratory() {
        Chance chance = Chance.of(SEED, 2);
        StringBuilder text = new StringBuilder("Harbour Row laboratory;;;;;;;" + LINE_END)
                .append("Patient No;Name;DOB;Lab No;Test;Result;Units;Taken on" + LINE_END);
        for (int i = 0; i < PEOPLE; i++) {
            DemoPerson person = person(i + 50);
            String name = text(person, "family_name") + ", " + text(person, "given_name");
            String taken = i == 11
                    ? "31/02/" + today.day().getYear()
                    : DAY_FIRST.format(today.day().minusDays(chance.between(1, 20)));
            String start = person.id() + ";" + name + ";" + DAY_FIRST.format(person.birth()) + ";L" + (40_000 + 3 * i);
            text.append(start)
                    .append(";eGFR;")
                    .append(chance.percent(40) ? ">90" : String.valueOf(chance.between(28, 90)))
                    .append(";mL/min;")
                    .append(taken)
                    .append(LINE_END);
            text.append(start)
                    .append("K;Potassium;")
                    .append(String.format(Locale.GERMANY, "%.1f", chance.between(33, 56) / 10.0))
                    .append(";mmol/L;")
                    .append(taken)
                    .append(LINE_END);
            if (i % 9 == 0) {
                text.append(start)
                        .append("P;Protein in urine;negative;;")
                        .append(taken)
                        .append(LINE_END);
            }
        }
        text.append("Total;;;;;").append(2 * PEOPLE).append(";;" + LINE_END);
        return text.toString().getBytes(Charset.forName("windows-1252"));
    }
}
