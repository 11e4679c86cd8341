package dipstick.server.deliveries;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.concurrent.Callable;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Files that other systems put into the folder of an intake. */
class IncomingTest {
    private static final String FIRST = """
            Patient ID,Surname,DOB,Test,Result,Date
            1,Marl,1961-05-17,Sugar,5,2026-03-02
            2,Vask,1958-04-03,Sugar,6,2026-03-02
            3,Tove,1970-01-01,Sugar,7,2026-03-02
            """;

    private RunningServer server;
    private Visitor orla;
    private Sent sent;
    private Path incoming;

    private Path data;

    @BeforeEach
    void start(@TempDir Path folder) throws Exception {
        data = folder;
        server = RunningServer.over(folder, Clock.systemUTC(), "--dipstick.incoming.every=100ms");
        orla = server.signedIn("orla", Role.COORDINATOR);
        sent = new Sent(orla);
        JsonNode taken = sent.take(sent.file("lab.csv", FIRST));
        incoming = folder.resolve("incoming").resolve(taken.at("/intake/id").asString());
        until(() -> Files.isDirectory(incoming));
    }

    @AfterEach
    void stop() {
        server.stop();
    }

    @Test
    void what_is_as_last_time_is_taken_and_what_is_strange_waits_for_a_person() throws Exception {
        Files.writeString(incoming.resolve("monday.csv"), FIRST.replace("2026-03-02", "2026-03-09"));
        until(() -> Files.exists(incoming.resolve("taken/monday.csv.report.json")));
        assertThat(incoming.resolve("monday.csv")).doesNotExist();
        assertThat(Files.readString(incoming.resolve("taken/monday.csv.report.json")))
                .contains("\"taken\" : true", "\"added\" : 3");
        assertThat(records()).isEqualTo(6);

        Files.writeString(
                incoming.resolve("short.csv"),
                FIRST.lines()
                        .limit(2)
                        .toList()
                        .getLast()
                        .transform(row -> "Patient ID,Surname,DOB,Test,Result,Date\n"
                                + row.replace("2026-03-02", "2999-01-01") + "\n"));
        JsonNode waits = waiting();
        assertThat(waits.get("why"))
                .extracting(JsonNode::asString)
                .containsExactly(
                        "It holds 2 people and records where the last one held 6.",
                        "1 date is in the future where none should be.");
        assertThat(records()).as("nothing of it is taken").isEqualTo(6);

        JsonNode opened = sent.settled(
                orla.post("/api/deliveries/waiting/" + waits.get("id").asString(), "")
                        .json());
        assertThat(opened.get("stage").asString()).isEqualTo("TRIED");
        sent.take(opened);
        until(() -> Files.exists(incoming.resolve("taken/short.csv")));
        assertThat(orla.get("/api/deliveries/waiting").json()).isEmpty();
        assertThat(records()).isEqualTo(7);
    }

    @Test
    void a_plain_file_has_a_folder_and_what_lies_there_over_a_start_is_taken_then() throws Exception {
        Path plain = data.resolve("incoming/plain-people");
        until(() -> Files.isDirectory(plain));
        server.stop();
        Files.writeString(plain.resolve("people.csv"), "id,given_name\n2,Bo\n");
        Files.writeString(plain.resolve("visits.csv"), "person_id,kind\n2,visit\n");
        server = RunningServer.over(data, Clock.systemUTC(), "--dipstick.incoming.every=100ms");
        orla = server.visitor().signIn("orla", "a%20long%20password");
        until(() -> Files.exists(plain.resolve("taken/people.csv")));
        assertThat(waiting().get("why"))
                .extracting(JsonNode::asString)
                .anyMatch(why -> why.contains("not those of a Plain file of people"));
    }

    @Test
    void the_very_same_file_and_one_that_cannot_be_read_wait_and_are_put_away() throws Exception {
        Files.writeString(incoming.resolve("again.csv"), FIRST);
        assertThat(waiting().get("why")).extracting(JsonNode::asString).contains("This very file was taken before.");
        orla.delete("/api/deliveries/waiting/" + waiting().get("id").asString());
        assertThat(incoming.resolve("put-away/again.csv")).exists();
        assertThat(orla.get("/api/deliveries/waiting").json()).isEmpty();

        Files.writeString(incoming.resolve("broken.csv"), "Patient ID,Surname,DOB,Test,Result,Date\n1,\"Marl");
        assertThat(waiting().get("why")).extracting(JsonNode::asString).contains("Nothing would come in.");
    }

    @Test
    void a_folder_of_no_intake_and_a_link_take_nothing_in(@TempDir Path elsewhere) throws Exception {
        Path secret = Files.writeString(elsewhere.resolve("secret.csv"), FIRST.replace("1,Marl", "9,Ard"));
        Files.createSymbolicLink(incoming.resolve("link.csv"), secret);
        Path other = Files.createDirectories(incoming.resolveSibling("nothing"));
        Files.writeString(other.resolve("x.csv"), FIRST.replace("1,Marl", "8,Ard"));

        assertThat(waiting().get("why").get(0).asString()).isEqualTo("There is no intake “nothing” here.");
        assertThat(records()).isEqualTo(3);
        assertThat(incoming.resolve("link.csv")).isSymbolicLink();
    }

    private JsonNode waiting() throws Exception {
        until(() -> !orla.get("/api/deliveries/waiting").json().isEmpty());
        return orla.get("/api/deliveries/waiting").json().get(0);
    }

    private static void until(Callable<Boolean> isSo) throws Exception {
        Instant late = Instant.now().plusSeconds(20);
        while (!isSo.call()) {
            assertThat(Instant.now()).isBefore(late);
            Thread.sleep(50);
        }
    }

    private int records() throws Exception {
        return orla.get("/api/records").json().get("records").asInt();
    }
}
