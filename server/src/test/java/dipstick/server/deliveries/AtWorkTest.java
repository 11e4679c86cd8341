package dipstick.server.deliveries;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.SetClock;
import dipstick.server.accounts.Role;
import dipstick.server.outreach.Desks;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Deliveries while several people work. */
class AtWorkTest {
    private static final String LAB = "Patient ID,Test,Result,Date\n%s,Sugar,7,2026-03-04\n%s,Sugar,8,2026-03-05\n";
    private static final String SET = """
            {"format": "dipstick-criteria/1", "id": "sugar", "name": "Sugar high", "population": "living",
             "include": [{"id": "sugar", "test": {"events": {"kinds": ["result"], "where": [{"field": "value",
                 "atLeast": 7}]}}}],
             "shouldHave": {"rule": "any", "of": [{"id": "seen", "test": {"events": {"kinds": ["visit"]}}}]}}""";

    private static RunningServer server;
    private static Visitor orla;
    private static Visitor ben;
    private static Sent sent;

    @BeforeAll
    static void start(@TempDir Path folder) throws Exception {
        server = RunningServer.over(folder, SetClock.onThe(LocalDate.of(2026, 11, 27)));
        orla = server.signedIn("orla", Role.COORDINATOR);
        ben = server.signedIn("ben", Role.COORDINATOR);
        sent = new Sent(orla);
        People.bringIn(orla, "id,family_name\n0001,Marl\n0002,Oak\n0003,Ash\n");
        People.publish(orla, "sugar", SET);
    }

    @AfterAll
    static void stop() {
        server.stop();
    }

    private static int records(String person) throws Exception {
        return orla.get("/api/people/" + person).json().get("records").size();
    }

    @Test
    void what_two_take_at_once_is_taken_once() throws Exception {
        String file = LAB.formatted("0001", "0001");
        JsonNode one = sent.file("lab.csv", file);
        JsonNode same = new Sent(ben).file("lab again.csv", file);
        List<Callable<Integer>> all = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            all.add(() -> orla.post(Sent.address(one) + "/take", "").status());
            all.add(() -> ben.post(Sent.address(same) + "/take", "").status());
        }
        List<Integer> answers = new ArrayList<>();
        try (ExecutorService atOnce = Executors.newFixedThreadPool(all.size())) {
            for (var answer : atOnce.invokeAll(all)) {
                answers.add(answer.get());
            }
        }
        assertThat(answers).allMatch(status -> status == 200 || status == 202 || status == 409);
        JsonNode first = sent.settled(orla.get(Sent.address(one)).json());
        JsonNode second = new Sent(ben).settled(ben.get(Sent.address(same)).json());
        assertThat(List.of(first.get("stage").asString(), second.get("stage").asString()))
                .containsOnly("TAKEN");
        assertThat(records("0001")).isEqualTo(2);
        assertThat(first.at("/taken/events/added").asInt()
                        + second.at("/taken/events/added").asInt())
                .as("each record is new once")
                .isEqualTo(2);
    }

    @Test
    void what_colleagues_logged_stays_when_the_delivery_that_led_to_it_is_taken_back() throws Exception {
        JsonNode taken = sent.take(sent.file("lab.csv", LAB.formatted("0002", "0003")));
        Desks desk = new Desks(orla, "sugar");
        assertThat(desk.does("ATTEMPT", "0002", "outcome", "\"no-answer\"").status())
                .isEqualTo(200);

        assertThat(orla.post("/api/deliveries/taken/" + taken.get("delivery").asLong() + "/taking-back", "{}")
                        .status())
                .isEqualTo(200);

        assertThat(desk.state("0002")).isEqualTo("LEFT");
        assertThat(desk.state("0003")).isEqualTo("LEFT");
        assertThat(desk.log("0002")).anyMatch(act -> act.contains("No answer"));
        assertThat(records("0002")).as("that somebody called is on record").isEqualTo(1);
        assertThat(records("0003")).isZero();
    }
}
