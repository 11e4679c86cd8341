package dipstick.server.upkeep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import dipstick.server.database.DatabaseKey;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** With a key nothing that is kept can be read on the disk, and without it nothing starts. */
class EncryptedTest {
    private static final String NAME = "Quillfeather";

    @TempDir
    private Path folder;

    private Path key;
    private final ByteArrayOutputStream said = new ByteArrayOutputStream();
    private final PrintStream out = new PrintStream(said, true, StandardCharsets.UTF_8);

    @BeforeEach
    void makeKey() throws IOException {
        key = Files.writeString(folder.resolve("key"), "correct horse battery staple 7\n");
    }

    private Path data() {
        return folder.resolve("data");
    }

    private RunningServer over(String... settings) {
        return RunningServer.over(data(), Clock.systemUTC(), settings);
    }

    private RunningServer withKey() {
        return over("--dipstick.database.key-file=" + key);
    }

    private String bytes(String file) throws IOException {
        return Files.readString(data().resolve(file), StandardCharsets.ISO_8859_1);
    }

    private String said() {
        return said.toString(StandardCharsets.UTF_8);
    }

    private int command(String what, String which) {
        said.reset();
        return Commands.run(List.of(what, folder.resolve(which).toString(), data().toString()), out, out)
                .orElseThrow();
    }

    @Test
    void the_database_its_snapshot_and_its_backups_are_encrypted_and_come_back() throws Exception {
        RunningServer server = withKey();
        Visitor orla = server.signedIn("orla", Role.COORDINATOR);
        People.bringIn(orla, "id,family_name\np1," + NAME + "\n");
        Visitor administrator = server.signedIn("adm", Role.ADMINISTRATOR);
        assertThat(administrator.post("/api/backups", "").json().get("backups").size())
                .isEqualTo(1);
        Files.writeString(data().resolve("dipstick.properties"), "dipstick.database.key-file=" + key);
        assertThat(command("backup", "one.zip")).as(said()).isZero();
        server.stop();
        assertThat(command("export", "open")).as(said()).isZero();
        assertThat(Files.readString(folder.resolve("open/person.csv"))).contains(NAME);
        assertThat(command("audit", "verify")).as(said()).isZero();

        assertThat(bytes("records.mv.db")).startsWith("H2encrypt").doesNotContain(NAME);
        assertThat(bytes("records.snapshot")).isNotEmpty().doesNotContain(NAME);
        String backup = Files.readString(folder.resolve("one.zip"), StandardCharsets.ISO_8859_1);
        assertThat(backup).doesNotContain(NAME);
        DatabaseKey given = DatabaseKey.of(name -> name.endsWith("-file") ? key.toString() : "");
        assertThat(BackupFile.verify(folder.resolve("one.zip"), folder, given).people())
                .isEqualTo(1);
        assertThatThrownBy(() -> BackupFile.verify(folder.resolve("one.zip"), folder, new DatabaseKey("")))
                .isInstanceOfSatisfying(
                        CannotStart.class,
                        refused -> assertThat(refused.sentence())
                                .contains("does not open with the key that was given, or needs one"));

        RunningServer again = withKey();
        Visitor back = again.visitor().signIn("orla", "a%20long%20password");
        assertThat(back.get("/api/people?find=quill").json().get("total").asInt())
                .isEqualTo(1);
        again.stop();
    }

    @Test
    void without_the_key_with_another_or_with_one_that_is_none_it_says_so_and_changes_nothing() throws Exception {
        withKey().stop();
        String before = bytes("records.mv.db");
        assertThatThrownBy(this::over)
                .isInstanceOfSatisfying(
                        CannotStart.class,
                        refused -> assertThat(refused.sentence())
                                .contains("is encrypted. Give its key as dipstick.database.key"));
        assertThatThrownBy(() -> over("--dipstick.database.key=another horse battery staple"))
                .isInstanceOfSatisfying(
                        CannotStart.class,
                        refused ->
                                assertThat(refused.sentence()).contains("not encrypted with the key that was given"));
        assertThatThrownBy(() -> over("--dipstick.database.key=short"))
                .isInstanceOfSatisfying(
                        CannotStart.class,
                        refused -> assertThat(refused.sentence()).contains("fewer than 20 characters"));
        assertThatThrownBy(() -> over("--dipstick.database.key-file=" + folder.resolve("nowhere")))
                .isInstanceOfSatisfying(
                        CannotStart.class,
                        refused -> assertThat(refused.sentence()).contains("cannot be read from"));
        assertThat(bytes("records.mv.db")).isEqualTo(before);
        assertThat(command("backup", "one.zip")).isEqualTo(1);
        assertThat(said()).contains("is encrypted. Give its key");

        Path plain = folder.resolve("plain");
        RunningServer.over(plain, Clock.systemUTC()).stop();
        assertThatThrownBy(() -> RunningServer.over(plain, Clock.systemUTC(), "--dipstick.database.key-file=" + key))
                .isInstanceOfSatisfying(
                        CannotStart.class,
                        refused -> assertThat(refused.sentence()).contains("one that is not encrypted is exported"));
    }
}
