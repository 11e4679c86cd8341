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
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
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
 * A database of each version that there was starts, and everything is in it. One is kept for each in
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

    @TempDir
    private Path folder;

    static IntStream versions() throws IOException {
        try (var files = Files.list(MIGRATIONS)) {
            return IntStream.rangeClosed(1, (int) files.count());
        }
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
        String url = "jdbc:h2:file:" + data.resolve("records").toAbsolutePath();
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
    @MethodSource("versions")
    void it_starts_and_everything_is_in_it(int version) throws Exception {
        Path data = Files.createDirectories(folder.resolve("data"));
        try (var in = new GZIPInputStream(Files.newInputStream(kept(version)))) {
            Files.copy(in, data.resolve("records.mv.db"));
        }
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
