package dipstick.server.upkeep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import dipstick.server.practice.PracticeSettings;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.util.unit.DataSize;

class RoomTest {
    @TempDir
    private Path data;

    @ParameterizedTest
    @CsvSource({"1, 1, ''", "1000000, 1, nearly full", "1000000, 1000000, nothing can be saved"})
    void it_is_told_before_it_is_full_and_when_it_is(long warn, long least, String words) {
        Room room = new Room(
                new RoomSettings(DataSize.ofTerabytes(warn / 1000), DataSize.ofTerabytes(least / 1000)),
                new PracticeSettings(data, "", "", "", true, false));
        assertThat(room.words()).contains(words);
        assertThat(room.words().isEmpty()).isEqualTo(words.isEmpty());
        assertThat(room.isOver()).isEqualTo(least > 1);
    }

    @Test
    void while_there_is_no_room_nothing_is_written_and_looking_goes_on() throws Exception {
        RunningServer full = RunningServer.over(data, Clock.systemUTC(), "--dipstick.room.least=1000TB");
        Visitor coordinator = full.signedIn("orla", Role.COORDINATOR);
        String set = "{\"format\": \"dipstick-criteria/1\", \"id\": \"x\", \"name\": \"X\"}";
        Reply refused = coordinator.put("/api/criteria/x", set, "");
        assertThat(refused.status()).isEqualTo(507);
        assertThat(refused.type()).isEqualTo("urn:dipstick:no-room");
        assertThat(coordinator
                        .upload("id\np1\n".getBytes(StandardCharsets.UTF_8))
                        .type())
                .isEqualTo("urn:dipstick:no-room");
        assertThat(coordinator.get("/api/criteria").json()).isEmpty();
        assertThat(coordinator
                        .post("/api/bench", "{\"document\": " + set + ", \"settings\": {}}")
                        .status())
                .isEqualTo(200);
        assertThat(coordinator.get("/api/room").json().get("words").asString()).contains("The disk is full");
        full.stop();
    }

    /** As it does where the disk refuses what it writes. */
    @Test
    void a_database_that_closed_itself_is_opened_again_without_a_restart() throws Exception {
        RunningServer server = RunningServer.over(data, Clock.systemUTC());
        Visitor coordinator = server.signedIn("orla", Role.COORDINATOR);
        String set = "{\"format\": \"dipstick-criteria/1\", \"id\": \"x\", \"name\": \"X\"}";
        assertThat(coordinator.put("/api/criteria/x", set, "").status()).isEqualTo(200);
        assertThatThrownBy(() -> {
                    try (Connection connection = server.bean(DataSource.class).getConnection();
                            Statement sql = connection.createStatement()) {
                        sql.execute("SHUTDOWN IMMEDIATELY");
                    }
                })
                .isInstanceOf(SQLException.class);
        List<Integer> statuses = new ArrayList<>();
        int last = 0;
        for (int i = 0; i < 30 && last != 200; i++) {
            Reply reply = coordinator.get("/api/criteria");
            last = reply.status();
            statuses.add(last);
            if (last != 200) {
                assertThat(reply.type()).isEqualTo("urn:dipstick:records-away");
            }
        }
        assertThat(statuses).last().isEqualTo(200);
        assertThat(coordinator.get("/api/criteria").text()).contains("\"x\"");
        assertThat(coordinator.put("/api/criteria/y", set.replace("x", "y"), "").status())
                .isEqualTo(200);
        server.stop();
    }
}
