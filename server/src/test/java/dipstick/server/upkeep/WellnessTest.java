package dipstick.server.upkeep;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.SetClock;
import dipstick.server.accounts.Role;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** What watches the server is told, and that nobody else is. */
class WellnessTest {
    @TempDir
    private static Path data;

    private static SetClock clock;
    private static RunningServer server;
    private static Visitor administrator;
    private static Visitor watcher;

    @BeforeAll
    static void begin() throws Exception {
        clock = SetClock.onThe(LocalDate.now(ZoneOffset.UTC));
        clock.set(Instant.now());
        server = RunningServer.over(data, clock, "--dipstick.room.warn=1B", "--dipstick.room.least=1B");
        administrator = server.signedIn("adm", Role.ADMINISTRATOR);
        watcher = server.program(administrator
                .post(
                        "/api/session/tokens",
                        "{\"current\": \"a long password\", \"label\": \"Watcher\", \"scopes\": [\"HEALTH_READ\"], \"days\": 300}")
                .json()
                .get("token")
                .asString());
    }

    @AfterAll
    static void end() {
        server.stop();
    }

    private static JsonNode readiness() throws Exception {
        return watcher.get("/actuator/health/readiness").json();
    }

    @Test
    void it_is_told_to_a_token_alone() throws Exception {
        for (String address :
                new String[] {"/actuator", "/actuator/health", "/actuator/prometheus", "/actuator/none"}) {
            assertThat(server.visitor().get(address).status()).as(address).isEqualTo(404);
            assertThat(administrator.get(address).status()).as(address).isEqualTo(404);
        }
        assertThat(watcher.get("/actuator/health/liveness").json().get("status").asString())
                .isEqualTo("UP");
        assertThat(watcher.get("/actuator/none").status()).isEqualTo(404);
        assertThat(watcher.get("/actuator/env").status()).isEqualTo(404);
        assertThat(watcher.get("/actuator/none").text()).doesNotContain("<html");
        assertThat(watcher.get("/api/accounts").status()).isEqualTo(403);
    }

    @Test
    void a_backup_that_is_missing_or_old_wants_attention_and_keeps_nobody_out() throws Exception {
        JsonNode none = readiness();
        assertThat(none.get("status").asString()).isEqualTo("ATTENTION");
        assertThat(none.at("/components/backup/details/words").asString()).isEqualTo("There is no backup yet.");
        assertThat(watcher.get("/actuator/health/readiness").status()).isEqualTo(200);
        assertThat(none.at("/components/db/status").asString()).isEqualTo("UP");
        assertThat(none.at("/components/records/status").asString()).isEqualTo("UP");
        assertThat(none.at("/components/room/status").asString()).isEqualTo("UP");
        assertThat(watcher.get("/actuator/prometheus").text())
                .contains(
                        "dipstick_people",
                        "dipstick_room_bytes",
                        "dipstick_answers_bytes",
                        "dipstick_answers_found_total",
                        "dipstick_answers_worked_out_total",
                        "dipstick_backup_age_seconds{application=\"dipstick\"} NaN");

        assertThat(administrator.post("/api/backups", "").status()).isLessThan(300);
        assertThat(readiness().get("status").asString()).isEqualTo("UP");
        clock.set(Instant.now().plus(Duration.ofHours(37)));
        assertThat(readiness().at("/components/backup/details/words").asString())
                .startsWith("The last backup is old.");
        clock.set(Instant.now());
    }
}
