package dipstick.server.levels;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.SetClock;
import dipstick.server.accounts.Role;
import dipstick.server.outreach.Desks;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** How a list stood over weeks, of everybody and of one site. */
class LevelsTest {
    private static final LocalDate MONDAY = LocalDate.of(2026, 4, 6);

    private static List<String> days(JsonNode levels) {
        return levels.get("levels")
                .valueStream()
                .map(one -> one.get("asOf").asString() + ": " + one.get("has").asInt() + " of "
                        + one.get("eligible").asInt() + ", "
                        + one.get("onList").asInt() + " on the list")
                .toList();
    }

    private static List<String> attempts(JsonNode levels) {
        return levels.get("attempts")
                .valueStream()
                .map(one ->
                        one.get("month").asString() + " " + one.get("outcome").asString() + " "
                                + one.get("attempts").asInt())
                .toList();
    }

    @Test
    void coverage_attempts_and_days_to_done_are_told_of_all_and_of_each_part(@TempDir Path folder) throws Exception {
        SetClock clock = SetClock.onThe(MONDAY);
        RunningServer server = RunningServer.over(folder, clock);
        Visitor orla = server.signedIn("orla", Role.COORDINATOR);
        People.bringIn(orla, """
                id,site,provider,phone
                m1,Mill Lane,Dr A,1
                m2,Mill Lane,Dr B,1
                h1,Harbour Row,Dr A,1
                n1,,Dr A,1
                """);
        People.publish(
                orla,
                "coverage",
                "{\"format\": \"dipstick-criteria/1\", \"id\": \"coverage\", \"name\": \"Coverage\", \"include\": [],"
                        + " \"shouldHave\": {\"rule\": \"any\", \"of\": [{\"id\": \"v\", \"test\": {\"events\":"
                        + " {\"kinds\": [\"visit\"]}}}]}}");
        Desks desk = new Desks(orla, "coverage");
        desk.does("ATTEMPT", "m1", "outcome", "\"no-answer\"");
        desk.does("ATTEMPT", "h1", "outcome", "\"no-answer\"");
        clock.set(MONDAY.plusWeeks(4));
        desk.does("ATTEMPT", "m1", "outcome", "\"booked\"");
        People.bringIn(orla, "id,person_id,kind,on\ne1,m1,visit,2026-05-04\n");
        // Twice on one day: the last one counts.
        People.bringIn(orla, "id,person_id,kind,on\ne2,h1,visit,2026-05-04\n");

        JsonNode all = orla.get("/api/lists/coverage/levels").json();
        assertThat(days(all)).containsExactly("2026-04-06: 0 of 4, 4 on the list", "2026-05-04: 2 of 4, 2 on the list");
        assertThat(attempts(all)).containsExactly("2026-04 No answer 2", "2026-05 Booked 1");
        assertThat(all.get("bySite")
                        .valueStream()
                        .map(one -> one.get("name").asString() + " "
                                + one.get("has").asInt() + "/"
                                + one.get("eligible").asInt() + " open "
                                + one.get("open").asInt() + " done "
                                + one.get("done").asInt() + " after "
                                + one.path("medianDays").asString("")))
                .containsExactly(
                        " 0/1 open 1 done 0 after ",
                        "Harbour Row 1/1 open 0 done 1 after 28",
                        "Mill Lane 1/2 open 1 done 1 after 28");

        JsonNode mill = orla.get("/api/lists/coverage/levels?field=site&part=mill%20lane")
                .json();
        assertThat(days(mill))
                .containsExactly("2026-04-06: 0 of 2, 2 on the list", "2026-05-04: 1 of 2, 1 on the list");
        assertThat(attempts(mill)).containsExactly("2026-04 No answer 1", "2026-05 Booked 1");
        JsonNode none = orla.get("/api/lists/coverage/levels?field=site&part=").json();
        assertThat(days(none)).last().isEqualTo("2026-05-04: 0 of 1, 1 on the list");
        JsonNode drA = orla.get("/api/lists/coverage/levels?field=provider&part=Dr%20A")
                .json();
        assertThat(days(drA)).last().isEqualTo("2026-05-04: 2 of 3, 1 on the list");
        server.stop();
    }
}
