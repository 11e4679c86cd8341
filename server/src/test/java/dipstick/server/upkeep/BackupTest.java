package dipstick.server.upkeep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import dipstick.server.database.DatabaseKey;
import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.time.Clock;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.BadSqlGrammarException;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** A backup while it runs and while it does not, brought back, and all that a server does not start over. */
class BackupTest {
    @TempDir
    private Path folder;

    private final ByteArrayOutputStream said = new ByteArrayOutputStream();
    private final PrintStream out = new PrintStream(said, true, StandardCharsets.UTF_8);

    private RunningServer server(String data) {
        return RunningServer.over(folder.resolve(data), Clock.systemUTC(), "--dipstick.backup.keep=2");
    }

    private int command(String... words) {
        said.reset();
        return Commands.run(List.of(words), out, out).orElseThrow();
    }

    private String said() {
        return said.toString(StandardCharsets.UTF_8);
    }

    private String at(String name) {
        return folder.resolve(name).toString();
    }

    private static void fill(RunningServer server) throws Exception {
        Visitor coordinator = server.signedIn("orla", Role.COORDINATOR);
        People.bringIn(coordinator, "id,family_name\np1,Marl\np2,Vask\n");
        People.bringIn(coordinator, "id,person_id,kind,on\ne1,p1,visit,2026-01-02\n");
        People.publish(
                coordinator, "kept", "{\"format\": \"dipstick-criteria/1\", \"id\": \"kept\", \"name\": \"Kept\"}");
    }

    @Test
    void what_was_backed_up_while_it_ran_is_the_same_practice_where_it_is_brought_back() throws Exception {
        RunningServer server = server("practice");
        fill(server);
        assertThat(command("backup", at("one.zip"), at("practice"))).isZero();
        assertThat(said()).contains("2 people, 1 records, 1 sets, 1 readings, 1 accounts", "opened and counted");
        assertThat(command("backup", at("one.zip"), at("practice"))).isEqualTo(1);
        assertThat(said()).contains("is there already");
        server.stop();
        assertThat(command("backup", at("two.zip"), at("practice")))
                .as("while it does not run")
                .isZero();
        assertThat(command("audit", "verify", at("practice"))).isZero();
        assertThat(said()).contains("The audit log is right");

        assertThat(command("restore", at("one.zip"), at("practice"))).isEqualTo(1);
        assertThat(said()).contains("is not empty");
        assertThat(command("restore", at("one.zip"), at("again"))).isZero();
        RunningServer again = server("again");
        Visitor orla = again.visitor().signIn("orla", "a%20long%20password");
        assertThat(orla.get("/api/lists/kept").json().get("rows")).hasSize(2);
        again.stop();
        assertThat(folder.toFile().list()).containsExactlyInAnyOrder("one.zip", "two.zip", "practice", "again");
    }

    @Test
    void what_is_no_backup_is_refused_and_leaves_nothing_behind() throws Exception {
        Files.writeString(folder.resolve("none.zip"), "not a zip");
        assertThat(command("restore", at("none.zip"), at("empty"))).isEqualTo(1);
        assertThat(command("restore", at("missing.zip"), at("empty"))).isEqualTo(1);
        assertThat(said()).contains("is not there or cannot be read");
        assertThat(folder.resolve("empty")).isEmptyDirectory();
        assertThat(command("backup", at("x.zip"), at("nowhere"))).isEqualTo(1);
        assertThat(said()).contains("There is no database");
        assertThat(command("backup", at("x.zip"))).isEqualTo(2);
    }

    @Test
    void by_itself_only_so_many_are_kept_and_the_page_says_when_there_is_none() throws Exception {
        RunningServer server = server("practice");
        Visitor administrator = server.signedIn("adam", Role.ADMINISTRATOR);
        assertThat(administrator.get("/api/backups").json().get("warning").asString())
                .contains("There is no backup yet");
        Path backups = Files.createDirectories(folder.resolve("practice/backups"));
        Files.writeString(backups.resolve("dipstick-2025-01-01-000000.zip"), "old");
        Files.writeString(backups.resolve("dipstick-2025-01-02-000000.zip"), "old");
        JsonNode state = administrator.post("/api/backups", "").json();
        assertThat(state.get("warning").asString()).isEmpty();
        assertThat(state.get("backups").valueStream().map(one -> one.get("file").asString()))
                .hasSize(2)
                .doesNotContain("dipstick-2025-01-01-000000.zip");
        assertThat(server.visitor().get("/control/backup").status()).isEqualTo(404);
        server.stop();
    }

    @Test
    void everything_kept_is_for_nobody_elses_eyes() throws Exception {
        RunningServer server = server("practice");
        server.stop();
        server("practice").stop();
        try (Stream<Path> files = Files.walk(folder.resolve("practice"))) {
            for (Path file : files.filter(one -> !Files.isDirectory(one)).toList()) {
                assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file)))
                        .as(file.toString())
                        .isEqualTo("rw-------");
            }
        }
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(folder.resolve("practice"))))
                .isEqualTo("rwx------");
    }

    @Test
    void a_statement_that_fails_leaves_none_of_its_values_in_a_file() throws Exception {
        server("practice").stop();
        Path data = folder.resolve("practice");
        Path trace = data.resolve("records.trace.db");
        Files.writeString(trace, "what an earlier version traced");
        RunningServer server = server("practice");
        assertThat(trace).doesNotExist();
        assertThatThrownBy(() -> server.bean(JdbcTemplate.class).execute("SELECT nothing FROM nowhere"))
                .isInstanceOf(BadSqlGrammarException.class);
        server.stop();
        assertThat(trace).doesNotExist();
    }

    @Test
    void a_server_does_not_start_over_what_it_must_not_and_says_why() throws Exception {
        server("practice").stop();
        Path data = folder.resolve("practice");
        // As another program's database does.
        try (FileChannel used = FileChannel.open(data.resolve(DataFolder.DATABASE), StandardOpenOption.WRITE)) {
            used.lock();
            assertThatThrownBy(() -> server("practice"))
                    .isInstanceOf(CannotStart.class)
                    .hasMessageContaining("Another Dipstick runs over the folder");
        }
        try (Connection connection = DataFolder.open(data, new DatabaseKey(""));
                var statement = connection.createStatement()) {
            statement.execute("INSERT INTO \"flyway_schema_history\" SELECT \"installed_rank\" + 100, '999',"
                    + " \"description\", \"type\", \"script\", \"checksum\", \"installed_by\", \"installed_on\","
                    + " \"execution_time\", TRUE FROM \"flyway_schema_history\" WHERE \"version\" = '1'");
        }
        assertThatThrownBy(() -> server("practice"))
                .isInstanceOf(CannotStart.class)
                .hasMessageContaining("made by a later Dipstick");
        Files.writeString(data.resolve(DataFolder.DATABASE), "damaged".repeat(2_000));
        assertThatThrownBy(() -> server("practice"))
                .isInstanceOf(CannotStart.class)
                .hasMessageContaining("is damaged or none of ours");
        Files.delete(data.resolve(DataFolder.DATABASE));
        Files.writeString(data.resolve("records.snapshot"), "left");
        assertThatThrownBy(() -> server("practice"))
                .isInstanceOf(CannotStart.class)
                .hasMessageContaining("There is no database");
        Path file = Files.writeString(folder.resolve("a file"), "");
        assertThatThrownBy(() -> server("a file/practice"))
                .isInstanceOf(CannotStart.class)
                .hasMessageContaining("cannot be written in");
        assertThat(file).exists();
    }
}
