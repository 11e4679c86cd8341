package dipstick.command;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class EvaluateTest {
    @TempDir
    Path folder;

    private Path people;
    private Path events;
    private Path criteria;

    private record Ran(int status, String out, String err) {}

    @BeforeEach
    void files() throws Exception {
        people = write(
                "people.csv",
                "id,birth_date,site\np2,1950-01-01,Mill Lane\np10,1950-01-01,\n\uD83D\uDE00,1960,x\n\uFF5E,1960,x\n");
        events = write("events.csv", "person_id,kind,on\np2,visit,2026-01-31\nnobody,visit,2026-01-01\n");
        criteria = write(
                "set.json",
                document("'include': [], 'shouldHave': {'rule': 'any', 'of': [{'id': 'v', 'test':"
                        + " {'events': {'window': {'last': {'dial': 'every'}}}}}]},"
                        + " 'dials': [{'name': 'every', 'type': 'period', 'default': 'P6M'}],"
                        + " 'bands': [{'name': 'Never, \\\"ever\\\"', 'when': {'overdue': 'never'}}]"));
    }

    @Test
    void prints_the_list_ordered_by_code_point() {
        Ran ran = evaluate("--as-of", "2026-11-23");
        assertThat(ran.status()).isZero();
        assertThat(ran.out())
                .isEqualTo("person_id,state,due_on,band\n"
                        + "p10,on,never,\"Never, \"\"ever\"\"\"\n"
                        + "p2,on,2026-08-01,\n"
                        + "\uFF5E,on,never,\"Never, \"\"ever\"\"\"\n"
                        + "\uD83D\uDE00,on,never,\"Never, \"\"ever\"\"\"\n");
        assertThat(ran.err()).contains("Passed over 1 events of people who are not in");
    }

    @Test
    void turns_dials_and_writes_json_to_a_file() throws Exception {
        Path out = folder.resolve("out.json");
        Ran ran = evaluate(
                "--as-of",
                "2026-11-23",
                "--zone",
                "Europe/Lisbon",
                "--dial",
                "every=P12M",
                "--format",
                "json",
                "--out",
                out.toString());
        assertThat(ran.status()).isZero();
        assertThat(ran.out()).isEmpty();
        JsonNode json = JsonMapper.shared().readTree(out);
        assertThat(json.at("/zone").asString()).isEqualTo("Europe/Lisbon");
        assertThat(json.at("/list/yes").asInt()).isEqualTo(3);
        assertThat(json.at("/has/yes").asInt()).isEqualTo(1);
        assertThat(json.at("/members/0/band").asString()).startsWith("Never");
        assertThat(json.at("/levels/0").has("remaining")).isFalse();
    }

    @Test
    void explains_one_person() {
        Ran ran = evaluate("--as-of", "2026-11-23", "--explain", "p2");
        assertThat(ran.out())
                .contains("p2: on the list")
                .contains("no: No record from 23 May 2026 to 23 Nov 2026. The nearest: visit on 31 Jan 2026.");
        assertThat(evaluate("--explain", "p99").status()).isEqualTo(2);
    }

    @Test
    void bad_input_is_named_by_file_and_line_or_pointer_and_writes_nothing() throws Exception {
        Path out = write("out.csv", "as it was");
        people = write("people.csv", "id,birth_date\np1,2026-02-31\np1\n,1950\n");
        events = write("events.csv", "person_id,kind,on,status\np1,visit,soon,entered-in-error\n");
        criteria = write("set.json", document("'include': [{'id': 'a', 'test': {'field': 'shoe_size', 'in': []}}]"));
        Ran ran = evaluate("--out", out.toString());
        assertThat(ran.status()).isEqualTo(2);
        assertThat(ran.out()).isEmpty();
        assertThat(ran.err().lines())
                .anyMatch(line -> line.contains("people.csv:2: birth_date: "))
                .anyMatch(line -> line.contains("people.csv:3: The row has 1 cell"))
                .anyMatch(line -> line.contains("people.csv:4: id: "))
                .anyMatch(line -> line.contains("events.csv:2: on: "))
                .anyMatch(line -> line.contains("set.json: /include/0/test/field: "))
                .hasSize(5);
        assertThat(Files.readString(out)).isEqualTo("as it was");
    }

    @Test
    void files_that_are_not_there_or_no_json_are_told() throws Exception {
        criteria = write("set.json", "{\n  \"format\": }");
        Ran ran = evaluate();
        assertThat(ran.status()).isEqualTo(2);
        assertThat(ran.err()).contains("line 2");
        people = folder.resolve("nowhere.csv");
        assertThat(evaluate().err()).contains("nowhere.csv: there is no such file");
    }

    @Test
    void settings_that_make_no_sense_are_told_in_a_sentence() throws Exception {
        Path out = write("out.csv", "as it was");
        assertThat(problem("--as-of", "tomorrow"))
                .isEqualTo("--as-of: “tomorrow” is no day. A day is written as 2026-11-23.");
        assertThat(problem("--as-of", "2026-02-30")).contains("“2026-02-30” is no day");
        assertThat(problem("--zone", "Nowhere/Else")).contains("there is no time zone “Nowhere/Else”");
        assertThat(problem("--dial", "often=P1Y")).contains("There is no dial “often”");
        assertThat(problem("--dial", "every")).isEqualTo("--dial: “every” is not NAME=VALUE, such as every=P6M.");
        assertThat(problem("--dial", "every=P6M", "--dial", "every=P12M")).contains("“every” is given twice");
        assertThat(problem("--dial", "every=P99999999999Y")).contains("too long: the longest is 9999 years");
        assertThat(problem("--dial", "every=soon")).contains("should be a period such as");
        assertThat(evaluate("--as-of", "x", "--zone", "y", "--dial", "z").err().lines())
                .as("all at once")
                .hasSize(3);
        assertThat(evaluate("--as-of", "x", "--out", out.toString()).status()).isEqualTo(2);
        assertThat(Files.readString(out)).isEqualTo("as it was");
    }

    @Test
    void an_empty_text_of_a_dial_is_an_error() throws Exception {
        criteria = write(
                "set.json",
                document("'include': [{'id': 'a', 'test': {'field': 'site', 'in': {'dial': 'sites'}}},"
                        + " {'id': 'b', 'test': {'field': 'status', 'startsWith': {'dial': 't'}}}],"
                        + " 'dials': [{'name': 'sites', 'type': 'texts', 'default': ['x']},"
                        + " {'name': 't', 'type': 'text', 'default': 'x'}]"));
        assertThat(problem("--dial", "t=")).contains("/dials/1: “” does not fit the dial “t”");
        assertThat(problem("--dial", "sites=")).contains("/dials/0: “” does not fit the dial “sites”");
        assertThat(problem("--dial", "sites=Mill Lane;;x")).contains("does not fit the dial “sites”");
        assertThat(evaluate("--dial", "sites=Mill Lane; x").status()).isZero();
    }

    /** The one thing that is wrong. */
    private String problem(String... settings) {
        Ran ran = evaluate(settings);
        assertThat(ran.status()).isEqualTo(2);
        assertThat(ran.out()).isEmpty();
        assertThat(ran.err().lines()).hasSize(1);
        return ran.err().strip();
    }

    private Ran evaluate(String... more) {
        List<String> arguments = new ArrayList<>(List.of(
                "evaluate",
                "--people",
                people.toString(),
                "--events",
                events.toString(),
                "--criteria",
                criteria.toString()));
        arguments.addAll(List.of(more));
        StringWriter out = new StringWriter();
        StringWriter err = new StringWriter();
        int status =
                Commands.run(new PrintWriter(out, true), new PrintWriter(err, true), arguments.toArray(String[]::new));
        return new Ran(status, out.toString(), err.toString());
    }

    private Path write(String name, String text) throws Exception {
        return Files.writeString(folder.resolve(name), text);
    }

    private static String document(String parts) {
        return ("{'format': 'dipstick-criteria/1', 'id': 's', 'name': 'S', " + parts + "}").replace('\'', '"');
    }
}
