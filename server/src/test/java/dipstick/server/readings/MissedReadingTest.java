package dipstick.server.readings;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.SetClock;
import dipstick.server.accounts.Role;
import java.nio.file.Path;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A list whose reading fails is read later, and keeps no other from being read. */
class MissedReadingTest {
    private static final String SET =
            "{\"format\": \"dipstick-criteria/1\", \"id\": \"%1$s\", \"name\": \"%1$s\", \"include\": []}";

    @Test
    void it_is_made_up_for(@TempDir Path folder) throws Exception {
        RunningServer server = RunningServer.over(folder, SetClock.onThe(LocalDate.of(2026, 3, 2)));
        try {
            Visitor orla = server.signedIn("orla", Role.COORDINATOR);
            People.bringIn(orla, "id\nsomebody\n");
            People.publish(orla, "one", SET.formatted("one"));
            People.publish(orla, "other", SET.formatted("other"));
            server.faults().fail("ReadingMapper.insert", 1);

            assertThat(People.bringIn(orla, "id\nanother\n").get("reason").asString())
                    .isEmpty();
            assertThat(onList(orla, "one") + onList(orla, "other"))
                    .as("one of the two was read")
                    .isEqualTo(3);
            server.bean(ReadingClock.class).tick();
            assertThat(onList(orla, "one")).isEqualTo(2);
            assertThat(onList(orla, "other")).isEqualTo(2);
        } finally {
            server.stop();
        }
    }

    private static int onList(Visitor visitor, String list) throws Exception {
        return visitor.get("/api/lists/" + list + "/readings")
                .json()
                .get(0)
                .get("onList")
                .asInt();
    }
}
