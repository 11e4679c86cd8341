package dipstick.core.records;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dipstick.core.time.DateRange;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class RecordFilesTest {
    private static final class Gathered<T> implements RowSink<T> {
        private final List<T> rows = new ArrayList<>();
        private final List<RowProblem> problems = new ArrayList<>();

        @Override
        public void record(long line, T row) {
            rows.add(row);
        }

        @Override
        public void problem(RowProblem problem) {
            problems.add(problem);
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "id,family_name,birth_date\np1,Marl,1950-02\n",
                "\uFEFFid;family_name;birth_date\r\np1;Marl;1950-02\r\n",
                "birth_date\tid\tfamily_name\n\n1950-02\tp1\tMarl",
                "\"id\",\"family_name\",\"birth_date\"\n\" p1 \",\"Marl\",\"1950-02\"\n\n",
                "ID,Family_Name,BIRTH_DATE\np1,Marl,1950-02",
            })
    void people_are_read_whatever_the_separator_order_marks_and_line_ends(String text) throws IOException {
        Gathered<PersonRecord> people = people(text);

        assertThat(people.problems).isEmpty();
        PersonRecord person = people.rows.getFirst();
        assertThat(person.id()).isEqualTo("p1");
        assertThat(person.values())
                .containsEntry("family_name", new FieldValue.OfText("Marl"))
                .containsEntry(
                        "birth_date",
                        new FieldValue.OfDate(DateRange.between(LocalDate.of(1950, 2, 1), LocalDate.of(1950, 2, 28))));
    }

    @Test
    void custom_fields_have_the_type_that_the_header_gives_them() throws IOException {
        PeopleFile file =
                PeopleFile.open(bytes("id,aid_side,frailty:number,seen:date,aid:flag,odd:thing\n"), ZoneOffset.UTC);
        assertThat(file.customFields())
                .containsExactly(
                        new Field("aid_side", FieldType.TEXT),
                        new Field("frailty", FieldType.NUMBER),
                        new Field("seen", FieldType.DATE),
                        new Field("aid", FieldType.FLAG),
                        new Field("odd:thing", FieldType.TEXT));
    }

    @Test
    void a_field_that_the_practice_has_keeps_its_type() throws IOException {
        Fields known = Fields.PERSON.with(List.of(new Field("frailty", FieldType.NUMBER)));
        Gathered<PersonRecord> people = new Gathered<>();
        PeopleFile.open(bytes("id,frailty\np1,3\n"), ZoneOffset.UTC, known).forEach(people);
        assertThat(people.rows.getFirst().values()).containsEntry("frailty", new FieldValue.OfNumber(3));
        assertThatThrownBy(() -> PeopleFile.open(bytes("id,frailty:date\n"), ZoneOffset.UTC, known))
                .hasMessageContaining("frailty");
    }

    @Test
    void events_have_custom_fields_a_day_of_recording_and_further_codes() throws IOException {
        Gathered<EventRecord> events = new Gathered<>();
        EventsFile file = EventsFile.open(bytes("""
                person_id,kind,Recorded_On,ALSO_CODED,room,wait days:number, :flag,
                p1,visit,2026-03,EH1|Local; |lab;KF1|lab|x ;;KF2,3,14,,
                p1,visit,,;,,,,
                """), ZoneOffset.UTC);
        file.forEach(events);

        assertThat(file.customFields())
                .containsExactly(new Field("room", FieldType.TEXT), new Field("wait days", FieldType.NUMBER));
        EventRecord event = events.rows.getFirst();
        assertThat(event.date("recorded_on"))
                .hasValue(DateRange.between(LocalDate.of(2026, 3, 1), LocalDate.of(2026, 3, 31)));
        assertThat(event.codings("also_coded"))
                .containsExactly(new Coding("EH1", "Local"), new Coding("KF1", "lab|x"), new Coding("KF2", ""));
        assertThat(event.text("room")).isEqualTo("3");
        assertThat(event.number("wait days")).hasValue(14);
        assertThat(events.rows.getLast().values()).containsOnlyKeys("person_id", "kind");
        assertThat(events.problems).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "person_id,kind,room,room\n",
                "person_id,kind,room,room:number\n",
                "person_id,kind,Code,CODE\n",
                "person_id,kind,On:date\n",
                "person_id,kind,also_coded:flag\n",
            })
    void a_header_that_names_one_field_twice_is_no_header(String header) {
        assertThatThrownBy(() -> EventsFile.open(bytes("\n" + header), ZoneOffset.UTC))
                .isInstanceOfSatisfying(
                        UnreadableFile.class,
                        refused -> assertThat(refused.problem().line()).isEqualTo(2));
    }

    @Test
    void every_bad_line_is_named_and_the_good_ones_are_kept() throws IOException {
        Gathered<PersonRecord> people = people("""
                id,birth_date,frailty:number,do_not_contact
                p1,2026-02-31,3,no
                p2,1950,much,perhaps
                ,1950,3,no
                p4,1950,3
                p5,1950,3,no
                p5,1951,4,no
                """);
        assertThat(people.rows).extracting(PersonRecord::id).containsExactly("p5");
        assertThat(people.problems)
                .extracting(problem -> problem.line() + " " + problem.column())
                .containsExactly("2 birth_date", "3 frailty", "3 do_not_contact", "4 id", "5 ", "7 id");
        assertThat(people.problems.getFirst().reason()).contains("“2026-02-31” is not a date");
        assertThat(people.problems.getLast().reason()).contains("line 6");
    }

    @Test
    void a_line_number_counts_the_lines_inside_quotes() throws IOException {
        Gathered<PersonRecord> people = people("id,address,birth_date\np1,\"1 Lane\nTown\",1950\np2,x,never\n");
        assertThat(people.problems).extracting(RowProblem::line).containsExactly(4L);
    }

    @Test
    void events_need_a_person_and_a_kind() throws IOException {
        Gathered<EventRecord> events = events("""
                person_id,kind,on,value,keywords,room
                p1,visit,2024,1e1, a;;b ,attic
                ,visit,,,,
                p1,,,,,
                p1,visit,,ten,,
                """);
        EventRecord event = events.rows.getFirst();
        assertThat(event.texts("keywords")).containsExactly("a", "b");
        assertThat(event.number("value")).hasValue(10);
        assertThat(event.text("status")).isEmpty();
        assertThat(events.problems)
                .extracting(problem -> problem.line() + " " + problem.column())
                .containsExactly("3 person_id", "4 kind", "5 value");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "\n\n", "name,born\nA,1950\n", "id,id\np1,p1\n", "PK\u0003\u0004\u0000\u0000"})
    void a_file_that_is_something_else_is_refused_with_a_reason(String text) {
        assertThatThrownBy(() -> people(text))
                .isInstanceOf(UnreadableFile.class)
                .hasMessageMatching("(?s).{20,}");
    }

    @Test
    void a_line_without_an_end_is_refused_without_being_held() {
        InputStream endless = new InputStream() {
            private long left = 100_000_000;

            @Override
            public int read() {
                return left-- > 0 ? 'x' : -1;
            }

            @Override
            public int read(byte[] target, int offset, int length) {
                int given = (int) Math.min(length, left);
                Arrays.fill(target, offset, offset + given, (byte) 'x');
                left -= given;
                return given == 0 ? -1 : given;
            }
        };
        assertThatThrownBy(() -> PeopleFile.open(endless, ZoneOffset.UTC)).hasMessageContaining("longer than");
    }

    @Test
    void a_very_long_cell_ends_the_reading() {
        String text = "id,address\np1,x\np2," + "y".repeat(3_000_000) + "\n";
        assertThatThrownBy(() -> people(text)).isInstanceOf(UnreadableFile.class);
    }

    @Test
    void a_quote_that_is_open_at_the_end_loses_nobody_without_a_word() throws IOException {
        assertThatThrownBy(() -> people("id,address\np1,x\np2,\"Lane\np3,y\np4,z\n"))
                .isInstanceOfSatisfying(
                        UnreadableFile.class,
                        refused -> assertThat(refused.problem().line()).isEqualTo(3));
        assertThat(people("id,address\np1,5\" pipe\np2,\"1 Lane\nTown\"\n").rows)
                .as("a quote within a cell is one")
                .hasSize(2);
    }

    @Test
    void a_quote_that_never_closes_as_it_should_is_refused() {
        assertThatThrownBy(() -> people("id,address\np1,\"Lane\"x,\n"))
                .isInstanceOf(UnreadableFile.class)
                .hasMessageContaining("quote");
    }

    @Test
    void another_encoding_is_told_by_line_and_column() throws IOException {
        Gathered<PersonRecord> people = new Gathered<>();
        PeopleFile.open(
                        new ByteArrayInputStream(
                                "id,family_name\np1,Vellé\np2,Marl\n".getBytes(StandardCharsets.ISO_8859_1)),
                        ZoneOffset.UTC)
                .forEach(people);
        assertThat(people.rows).extracting(PersonRecord::id).containsExactly("p2");
        assertThat(people.problems.getFirst().line()).isEqualTo(2);
        assertThat(people.problems.getFirst().reason()).contains("UTF-8");
    }

    @Test
    void sixteen_bit_text_is_read_where_a_mark_says_so() throws IOException {
        Charset sixteen = StandardCharsets.UTF_16LE;
        Gathered<PersonRecord> people = new Gathered<>();
        PeopleFile.open(new ByteArrayInputStream("\uFEFFid\tsex\np1\tfemale\n".getBytes(sixteen)), ZoneOffset.UTC)
                .forEach(people);
        assertThat(people.rows).hasSize(1);
    }

    private static Gathered<PersonRecord> people(String text) throws IOException {
        Gathered<PersonRecord> people = new Gathered<>();
        PeopleFile.open(bytes(text), ZoneOffset.UTC).forEach(people);
        return people;
    }

    private static Gathered<EventRecord> events(String text) throws IOException {
        Gathered<EventRecord> events = new Gathered<>();
        EventsFile.open(bytes(text), ZoneOffset.UTC).forEach(events);
        return events;
    }

    private static InputStream bytes(String text) {
        return new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8));
    }
}
