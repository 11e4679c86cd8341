package dipstick.command;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ConvertTest {
    private static final String LAB = """
            Patient No;Name;DOB;Test;Result;Taken on
            7;Marl, Ada;17/05/1961;Kalium;4,2;03/11/2026
            8;"=Vask; Bo";03/04/1958;eGFR;>90;04/11/2026
            """;

    @TempDir
    private Path folder;

    private Path file;
    private Path intake;
    private Path people;
    private Path events;

    record Ran(int status, String out, String err) {}

    @BeforeEach
    void files() throws Exception {
        file = Files.writeString(folder.resolve("lab.csv"), LAB);
        intake = folder.resolve("lab.json");
        people = folder.resolve("p.csv");
        events = folder.resolve("e.csv");
    }

    private static Ran run(Object... arguments) {
        StringWriter out = new StringWriter();
        StringWriter err = new StringWriter();
        String[] words = Arrays.stream(arguments).map(Object::toString).toArray(String[]::new);
        int status = Commands.run(new PrintWriter(out, true), new PrintWriter(err, true), words);
        return new Ran(status, out.toString(), err.toString());
    }

    private Ran convert(Object... more) {
        Object[] all = {"convert", "--intake", intake, file, "--people", people, "--events", events, "--zone", "UTC"};
        Object[] whole = Arrays.copyOf(all, all.length + more.length);
        System.arraycopy(more, 0, whole, all.length, more.length);
        return run(whole);
    }

    @Test
    void what_is_proposed_converts_and_the_files_are_evaluated() throws Exception {
        assertThat(run("convert", "--propose", file, "--out", intake).status()).isZero();
        assertThat(convert()).isEqualTo(new Ran(0, "", ""));

        Path set = Files.writeString(folder.resolve("set.json"), """
                {"format": "dipstick-criteria/1", "id": "s", "name": "S",
                 "include": [{"id": "k", "test": {"events": {"where": [{"field": "value", "atLeast": 4.2}]}}},
                             {"id": "n", "test": {"field": "birth_date", "from": "1960"}}]}""");
        Ran evaluated = run("evaluate", "--people", people, "--events", events, "--criteria", set);
        assertThat(evaluated.out()).isEqualTo("person_id,state,due_on,band\n7,on,,\n");
        assertThat(Files.readString(events)).contains("eGFR").contains(">90");
    }

    @Test
    void a_row_that_cannot_be_read_is_named_and_nothing_is_written_unless_that_is_wanted() throws Exception {
        run("convert", "--propose", file, "--out", intake);
        Files.writeString(file, LAB + "9;Tove, T;31/02/1958;K;1;04/11/2026\n");
        Ran refused = convert();
        assertThat(refused.status()).isEqualTo(2);
        assertThat(refused.err()).contains(file + ":4: DOB: “31/02/1958” is not a date");
        assertThat(people).doesNotExist();

        Ran written = convert("--leave-out-bad-rows");
        assertThat(written.status()).isZero();
        assertThat(Files.readString(people)).contains("Marl").doesNotContain("Tove");
    }

    @Test
    void each_mistake_is_a_line() throws Exception {
        assertThat(run("convert", file, "--people", people).err()).contains("--intake");
        assertThat(convert().err()).contains("there is no such file");
        Files.writeString(intake, "{}");
        assertThat(convert().err()).contains("/format");
        assertThat(run("convert", "--propose", folder.resolve("none.csv")).status())
                .isEqualTo(2);
        assertThat(run("convert", "--propose", Files.createFile(folder.resolve("empty.csv")))
                        .err())
                .contains("There is nothing in the file.");
    }
}
