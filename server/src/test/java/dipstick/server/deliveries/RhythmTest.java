package dipstick.server.deliveries;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.RunningServer;
import dipstick.server.SetClock;
import dipstick.server.accounts.Role;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Files that no longer come, and those that nobody looks at. */
class RhythmTest {
    @Test
    void a_file_of_every_day_that_does_not_come_is_missed_and_one_that_waits_is_too(@TempDir Path folder)
            throws Exception {
        Instant first = Instant.now();
        SetClock clock = SetClock.onThe(LocalDate.now(ZoneOffset.UTC));
        clock.set(first);
        RunningServer server = RunningServer.over(folder, clock);
        Rhythm rhythm = server.bean(Rhythm.class);
        Sent sent = new Sent(server.signedIn("orla", Role.COORDINATOR));
        for (int day = 0; day < 4; day++) {
            clock.set(first.plus(Duration.ofDays(day)));
            sent.take(sent.file("lab.csv", "Patient ID,Test,Result,Date\n1,Sugar,7,2026-03-0" + (day + 1) + "\n"));
        }
        clock.set(first.plus(Duration.ofDays(6)));
        assertThat(rhythm.amiss()).as("a long weekend").isEmpty();
        clock.set(first.plus(Duration.ofDays(8)));
        assertThat(rhythm.amiss()).containsExactly("Nothing came by “lab” for much longer than usual.");

        Path waiting = Files.createDirectories(folder.resolve("incoming/lab/waiting"));
        Files.writeString(waiting.resolve("odd.csv"), "x");
        assertThat(rhythm.amiss()).contains("A file waits for longer than a day.");
        server.stop();
    }
}
