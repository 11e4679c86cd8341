package dipstick.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dipstick.intake.files.Together;
import dipstick.intake.propose.Proposing;
import dipstick.intake.rows.UnreadableRows;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Lines of an export that are no JSON, among those that are. */
class BrokenLinesTest {
    @TempDir
    private Path folder;

    private Made made(String text) throws IOException {
        return made(Files.writeString(folder.resolve("Patient.ndjson"), text));
    }

    private static Made made(Path file) throws IOException {
        return Made.of(
                file,
                Proposing.of("Patient.ndjson", file, Proposing.Asked.in(2026)).intake());
    }

    private static String patient(String number) {
        return "{\"resourceType\":\"Patient\",\"identifier\":[{\"value\":\"" + number
                + "\"}],\"name\":[{\"family\":\"Marl\",\"given\":[\"Ada\"]}]}\n";
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{\"resourceType\":\"Patient\",\"identifier\":[{\"value\":\"2\"}],,}\n",
                "{\"resourceType\":\"Patient\",\"identifier\":[{\"value\":\"2\"}]\n",
                "{\"resourceType\":\"Patient\", id: 2}\r\n",
                "{\"resourceType\":\"Patient\",\"id\":\"2\n",
                "{\"resourceType\":\"Patient\",\"id\":\n",
            })
    void a_broken_line_is_told_and_the_others_come_in(String broken) throws IOException {
        Made made = made(patient("1") + broken + patient("3") + patient("4"));

        assertThat(made.troublesInWords()).contains("2  NO_ROW");
        assertThat(made.people)
                .extracting(person -> person.id())
                .startsWith("1")
                .endsWith("4");
        assertThat(made.people.size() + made.troubles.size()).isEqualTo(4);
    }

    @Test
    void where_it_ends_is_counted_over_the_lines_that_were_left_out() {
        assertThatThrownBy(() -> made(patient("1") + "{\"id\":}\n" + patient("3") + "{\"id\":"))
                .isInstanceOf(UnreadableRows.class)
                .extracting(failure -> ((UnreadableRows) failure).line())
                .isEqualTo(4L);
        assertThatThrownBy(() -> made(patient("1") + "{\"id\":}\n" + patient("3") + "7\n"))
                .isInstanceOf(UnreadableRows.class)
                .extracting(failure -> ((UnreadableRows) failure).line())
                .isEqualTo(4L);
    }

    @Test
    void a_line_that_is_cut_off_takes_no_line_with_it_silently() throws IOException {
        Made made = made(patient("1") + "{\"resourceType\":\"Patient\",\"name\":[\n" + patient("3") + patient("4"));

        assertThat(made.people).extracting(person -> person.id()).containsExactly("1", "4");
        assertThat(made.troublesInWords())
                .as("what stood behind it was read as part of it")
                .containsExactly("2  NO_ROW", "3  NO_ROW");
    }

    @Test
    void the_first_line_may_be_broken_and_one_that_is_longer_than_what_is_read_at_once() throws IOException {
        String long_ = "x".repeat(200_000);
        Made made = made(
                "{\"resourceType\":\"Patient\",}\n{\"resourceType\":\"Patient\",\"id\":\"" + long_ + "\",\"name\":}\n"
                        + patient("3") + "{\"resourceType\":\"Basic\",\"id\":\"" + long_ + "\"}\n" + patient("5"));

        assertThat(made.people).extracting(person -> person.id()).containsExactly("3", "5");
        assertThat(made.troublesInWords()).containsExactly("1  NO_ROW", "2  NO_ROW", "4  PASSED_OVER");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{\"resourceType\":\"Patient\",\"id\":\"2",
                "{\"resourceType\":\"Patient\",\"id\":}",
                "{\"resourceType\":\"Patient\",\"id\":}\n\n",
                """
                {
                  "resourceType": "Patient",
                  "id": }
                {"resourceType":"Basic"}
                """,
                """
                {"resourceType":"Bundle","type":"collection","entry":[{"resource":
                {"resourceType":"Basic"}},
                {]}
                {"resourceType":"Basic"}
                """,
            })
    void nothing_is_taken_of_what_is_cut_off_or_is_not_line_by_line(String rest) {
        assertThatThrownBy(() -> made(patient("1") + rest))
                .isInstanceOf(UnreadableRows.class)
                .hasMessageStartingWith("From here on the file is no JSON, or it is cut off, after ");
    }

    @ParameterizedTest
    @ValueSource(strings = {"{\"resourceType\":\"Patient\",\"id\":\"2", "{\"resourceType\":\"Patient\",\"name\":["})
    void one_of_several_files_that_is_cut_off_is_no_broken_line(String end) throws IOException {
        Path cut = Files.writeString(folder.resolve("a.ndjson"), patient("1") + end);
        Path whole = Files.writeString(folder.resolve("b.ndjson"), patient("3") + patient("4"));
        Path together = Together.of(List.of(cut, whole), folder).orElseThrow();

        assertThatThrownBy(() -> made(together))
                .isInstanceOf(UnreadableRows.class)
                .hasMessageContaining("cut off, after 1 whole");
    }
}
