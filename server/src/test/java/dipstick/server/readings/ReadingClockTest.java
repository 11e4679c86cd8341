package dipstick.server.readings;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.SetClock;
import dipstick.server.accounts.Role;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Lists are read at their time, through a night in which clocks go forward, and after a stop. */
class ReadingClockTest {
    private static final String SET =
            "{\"format\": \"dipstick-criteria/1\", \"id\": \"timed\", \"name\": \"Timed\", \"include\": []}";

    @TempDir
    Path folder;

    /** The days and times of the scheduled readings, the first one first. */
    private static List<String> scheduled(Visitor visitor) throws Exception {
        return visitor.get("/api/lists/timed/readings")
                .json()
                .valueStream()
                .filter(one -> one.get("occasion").asString().equals("SCHEDULED"))
                .map(one ->
                        one.get("asOf").asString() + " at " + one.get("takenAt").asString())
                .toList()
                .reversed();
    }

    @Test
    void a_list_is_read_once_for_each_time_and_once_for_all_that_were_missed() throws Exception {
        SetClock clock = SetClock.onThe(LocalDate.of(2026, 3, 28));
        RunningServer server = RunningServer.over(folder, clock);
        Visitor orla = server.signedIn("orla", Role.COORDINATOR);
        People.bringIn(orla, "id\nsomebody\n");
        People.publish(orla, "timed", SET);
        // 01:30 is skipped in Lisbon on 29 March 2026: it is meant an hour later, at 01:30 UTC.
        orla.put(
                "/api/lists/timed/reading-plan",
                "{\"every\": \"DAY\", \"dayOfWeek\": \"MONDAY\", \"dayOfMonth\": 1, \"at\": \"01:30\", \"turned\": {}}",
                "\"0\"");
        TakingReadings readings = server.bean(TakingReadings.class);

        clock.set(Instant.parse("2026-03-29T00:59:59Z"));
        readings.takeDue();
        assertThat(scheduled(orla)).as("before the hour that is skipped").isEmpty();
        clock.set(Instant.parse("2026-03-29T01:30:00Z"));
        readings.takeDue();
        readings.takeDue();
        assertThat(scheduled(orla)).containsExactly("2026-03-29 at 2026-03-29T01:30:00Z");
        clock.set(Instant.parse("2026-03-30T00:30:00Z"));
        readings.takeDue();
        assertThat(scheduled(orla)).hasSize(2).last().isEqualTo("2026-03-30 at 2026-03-30T00:30:00Z");
        server.stop();

        clock.set(Instant.parse("2026-04-03T12:00:00Z"));
        RunningServer again = RunningServer.over(folder, clock);
        again.bean(TakingReadings.class).takeDue();
        Visitor same = again.visitor().signIn("orla", "a%20long%20password");
        assertThat(scheduled(same))
                .as("four were missed")
                .hasSize(3)
                .last()
                .isEqualTo("2026-04-03 at 2026-04-03T12:00:00Z");
        again.stop();
    }
}
