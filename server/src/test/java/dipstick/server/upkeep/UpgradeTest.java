package dipstick.server.upkeep;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Visitor;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;

/**
 * A database of each version that there was becomes the one that the first becomes, and that one starts with everything in it. One
 * is kept for each in
 * {@code src/test/resources/upgrades}; a migration that is new needs one more, written by {@code -Dupgrades.write=true}: a
 * practice that began with the first version, as that migration left it.
 */
class UpgradeTest {
    private static final Path KEPT = Path.of("src/test/resources/upgrades");
    private static final Path MIGRATIONS = Path.of("src/main/resources/db/migration");
    private static final String SET = """
            {"format": "dipstick-criteria/1", "id": "seventy", "name": "From seventy", "include":
            [{"id": "old", "test": {"age": {"from": 70}}}], "shouldHave": {"rule": "all", "of":
            [{"id": "visit", "test": {"events": {"kinds": ["visit"], "window": {"ever": true}}}}]}}""";

    private static List<String> ofFirst = List.of();

    @TempDir
    private Path folder;

    static IntStream versions() throws IOException {
        try (var files = Files.list(MIGRATIONS)) {
            return IntStream.rangeClosed(1, (int) files.count());
        }
    }

    static IntStream laterVersions() throws IOException {
        return versions().skip(1);
    }

    private static Path kept(int version) {
        return KEPT.resolve("v" + version + ".mv.db.gz");
    }

    @Test
    void a_database_of_each_version_is_kept() throws Exception {
        if (Boolean.getBoolean("upgrades.write")) {
            for (int version :
                    versions().filter(one -> !Files.exists(kept(one))).toArray()) {
                write(version);
            }
        }
        assertThat(versions().mapToObj(UpgradeTest::kept))
                .allSatisfy(file -> assertThat(file).exists());
    }

    private void write(int version) throws IOException, SQLException {
        Path data = folder.resolve("made" + version);
        String url = url(data);
        migrate(url, 1);
        begin(url);
        migrate(url, version);
        Files.createDirectories(KEPT);
        try (OutputStream out = new GZIPOutputStream(Files.newOutputStream(kept(version)))) {
            Files.copy(data.resolve("records.mv.db"), out);
        }
    }

    private static void migrate(String url, int version) {
        Flyway.configure()
                .dataSource(url, "dipstick", "")
                .locations("filesystem:" + MIGRATIONS)
                .target(String.valueOf(version))
                .load()
                .migrate();
    }

    /** As the first version wrote it. */
    private static void begin(String url) throws SQLException {
        String hash = PasswordEncoderFactories.createDelegatingPasswordEncoder().encode("a long password");
        try (Connection database = DriverManager.getConnection(url, "dipstick", "");
                Statement sql = database.createStatement()) {
            sql.execute("INSERT INTO account (name, display_name, role, password_hash, created_at) VALUES ('orla',"
                    + " 'Orla', 'COORDINATOR', '" + hash + "', TIMESTAMP '2026-01-05 09:00:00')");
            sql.execute("INSERT INTO custom_field (name, type) VALUES ('wears_aid', 'FLAG')");
            sql.execute("INSERT INTO person (id, family_name, birth_first, birth_last, custom) VALUES"
                    + " ('p1', 'Märl', DATE '1940-02-03', DATE '1940-02-03', '{\"wears_aid\": \"yes\"}'),"
                    + " ('p2', 'Vask', DATE '1940-01-01', DATE '1940-12-31', '{}'),"
                    + " ('p3', 'Tove', DATE '2001-05-06', DATE '2001-05-06', '{}')");
            sql.execute("INSERT INTO event (record_key, fingerprint, id, person_id, kind, on_first, on_last) VALUES"
                    + " ('e1', 'f1', 'e1', 'p2', 'visit', DATE '2025-03-01', DATE '2025-03-31')");
            sql.execute("INSERT INTO criteria_set (id, name, document, version, changed_at, changed_by) VALUES"
                    + " ('seventy', 'From seventy', '" + SET + "', 1, TIMESTAMP '2026-01-05 09:00:00', 'orla')");
            sql.execute("INSERT INTO audit_entry (at, account, act, subject) VALUES"
                    + " (TIMESTAMP '2026-01-05 09:00:00', 'orla', 'SIGNED_IN', 'orla')");
        }
    }

    @ParameterizedTest
    @MethodSource("laterVersions")
    void it_becomes_what_the_first_becomes(int version) throws Exception {
        assertThat(broughtUp(version)).containsExactlyInAnyOrderElementsOf(ofFirst());
    }

    private List<String> ofFirst() throws Exception {
        if (ofFirst.isEmpty()) {
            ofFirst = broughtUp(1);
        }
        return ofFirst;
    }

    /** All that is in it then, but when it was brought up, and what is made by chance. */
    private List<String> broughtUp(int version) throws Exception {
        String url = url(unpack(version, "brought-up-" + version));
        migrate(url, (int) versions().count());
        List<String> script = new ArrayList<>();
        try (Connection database = DriverManager.getConnection(url, "dipstick", "");
                Statement sql = database.createStatement();
                ResultSet lines = sql.executeQuery("SCRIPT NOPASSWORDS NOSETTINGS")) {
            while (lines.next()) {
                script.add(lines.getString(1)
                        .replaceAll("\\{bcrypt}[^']+|[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}", "by chance")
                        .replaceAll("\"(CONSTRAINT|SYSTEM_SEQUENCE)_[^\"]+\"", "a name that H2 chose"));
            }
        }
        script.removeIf(line -> line.contains("INSERT INTO \"PUBLIC\".\"flyway_schema_history\""));
        assertThat(script).anyMatch(line -> line.contains("'p3'") && line.contains("'Tove'"));
        return script;
    }

    private static String url(Path data) {
        return "jdbc:h2:file:" + data.resolve("records").toAbsolutePath();
    }

    private Path unpack(int version, String name) throws IOException {
        Path data = Files.createDirectories(folder.resolve(name));
        try (var in = new GZIPInputStream(Files.newInputStream(kept(version)))) {
            Files.copy(in, data.resolve("records.mv.db"));
        }
        return data;
    }

    @Test
    void the_first_starts_and_everything_is_in_it() throws Exception {
        Path data = unpack(1, "data");
        RunningServer server = RunningServer.over(data, Clock.systemUTC());
        try {
            Visitor orla = server.visitor().signIn("orla", "a%20long%20password");
            assertThat(orla.get("/api/records").text()).contains("\"people\":3", "\"records\":1");
            assertThat(orla.get("/api/people/p1").text()).contains("Märl", "3 Feb 1940");
            assertThat(orla.get("/api/lists").json().valueStream())
                    .singleElement()
                    .satisfies(list -> {
                        assertThat(list.get("name").asString()).isEqualTo("From seventy");
                        assertThat(list.get("on").asInt()).isEqualTo(1);
                        assertThat(list.get("has").asInt()).isEqualTo(1);
                    });
            assertThat(orla.post("/api/lists/seventy/readings", "")
                            .json()
                            .get("onList")
                            .asInt())
                    .isEqualTo(1);
            assertThat(orla.get("/api/lists/seventy/desk").text()).contains("Märl");
        } finally {
            server.stop();
        }
    }
}
