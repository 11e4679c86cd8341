package dipstick.server.lists;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.SetClock;
import dipstick.server.accounts.Role;
import dipstick.server.outreach.Desks;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Two figures with one name are one figure: on the rack, at the desk, between readings, on Today, and in what goes out. */
class SameNumbersTest {
    private static final LocalDate DAY = LocalDate.of(2026, 11, 23);
    private static final String SET = ("{'format': 'dipstick-criteria/1', 'id': 'same', 'name': 'Same',"
                    + " 'dials': [{'name': 'every', 'label': 'Check every', 'type': 'period', 'default': 'P12M'},"
                    + " {'name': 'sites', 'label': 'Sites', 'type': 'texts', 'default': ['Mill Lane', 'Harbour Row'],"
                    + " 'choicesFrom': 'site'}],"
                    + " 'include': [{'id': 'at', 'test': {'field': 'site', 'in': {'dial': 'sites'}}},"
                    + " {'id': 'old', 'test': {'age': {'from': 50}}}],"
                    + " 'shouldHave': {'rule': 'any', 'of': [{'id': 'seen', 'test': {'events': {'kinds': ['visit'],"
                    + " 'window': {'last': {'dial': 'every'}}}}}]}}")
            .replace('\'', '"');

    @TempDir
    private static Path folder;

    private static SetClock clock;
    private static RunningServer server;
    private static Visitor orla;
    private static Visitor caller;

    @BeforeAll
    static void begin() throws Exception {
        clock = SetClock.onThe(DAY);
        server = RunningServer.over(folder, clock);
        orla = server.signedIn("orla", Role.COORDINATOR);
        caller = server.signedIn("tam", Role.CALLER);
        StringBuilder people = new StringBuilder("id,family_name,birth_date,site,provider,phone\n");
        StringBuilder events = new StringBuilder("id,person_id,kind,on\n");
        for (int i = 0; i < 40; i++) {
            people.append("p%d,Name%d,%s,%s,%s,01632 96000%d\n"
                    .formatted(
                            i,
                            i,
                            i % 5 == 0 ? "" : "1950-01-0" + (1 + i % 9),
                            i % 3 == 0 ? "Harbour Row" : "Mill Lane",
                            i % 2 == 0 ? "Dr Own" : "Dr Other",
                            i % 10));
            if (i % 4 == 0) {
                events.append("e%d,p%d,visit,%s\n".formatted(i, i, i % 8 == 0 ? "2026-09-01" : "2026-02-01"));
            }
        }
        People.bringIn(orla, people.toString());
        People.bringIn(orla, events.toString());
        People.publish(orla, "same", SET);
    }

    @AfterAll
    static void end() {
        server.stop();
    }

    /** Everywhere where the size of the list is told. */
    private static void walk() throws Exception {
        JsonNode rack = only(orla.get("/api/lists").json());
        JsonNode reading = orla.get("/api/lists/same/readings").json().get(0);
        JsonNode day = orla.get("/api/lists/same").json();
        List<JsonNode> desk = orla.get("/api/lists/same/desk?size=1000")
                .json()
                .get("rows")
                .valueStream()
                .toList();
        List<String> csv = orla.get("/api/lists/same/csv").text().lines().toList();
        int on = rack.get("on").asInt();
        int toCheck = rack.get("toCheck").asInt();

        assertThat(reading.get("onList").asInt()).isEqualTo(on);
        assertThat(reading.get("toCheck").asInt()).isEqualTo(toCheck);
        assertThat(count(day.get("rows").valueStream(), "state", "ON")).isEqualTo(on);
        assertThat(count(day.get("rows").valueStream(), "state", "CHECK")).isEqualTo(toCheck);
        assertThat(count(desk.stream(), "standing", "ON")).isEqualTo(on);
        assertThat(count(desk.stream(), "standing", "CHECK")).isEqualTo(toCheck);
        assertThat(csv.stream().filter(line -> line.contains(",on,"))).hasSize(on);
        assertThat(csv.stream().filter(line -> line.contains(",check,"))).hasSize(toCheck);
        assertThat(orla.post("/api/bench", "{\"document\": " + SET + ", \"settings\": " + turned() + "}")
                        .json()
                        .at("/levels/list/yes")
                        .asInt())
                .isEqualTo(on);

        int joined = (int) desk.stream()
                .filter(row -> row.get("standing").asString().equals("ON"))
                .filter(row -> LocalDate.parse(row.get("joinedOn").asString()).isAfter(today().minusDays(7)))
                .count();
        JsonNode today = orla.get("/api/today").json().get("joined");
        assertThat(today.isEmpty() ? 0 : today.get(0).get("people").asInt())
                .as("joined in seven days")
                .isEqualTo(joined);
        assertThat(rack.get("joined").asInt()).isEqualTo(joined);
        JsonNode last = rack.get("trend").get(rack.get("trend").size() - 1);
        assertThat(List.of(
                        last.get("has").asInt(),
                        last.get("eligible").asInt(),
                        last.get("onList").asInt()))
                .isEqualTo(List.of(rack.get("has").asInt(), rack.get("eligible").asInt(), on));
        assertThat(desk)
                .filteredOn(row -> row.get("standing").asString().equals("CHECK"))
                .allSatisfy(row -> assertThat(row.get("nextStep").asString()).isEqualTo("LOOK"));
    }

    private static LocalDate today() {
        return LocalDate.ofInstant(clock.instant(), clock.getZone());
    }

    private static String turned() throws Exception {
        return orla.get("/api/lists/same/reading-plan").json().get("turned").toString();
    }

    private static int count(Stream<JsonNode> rows, String key, String value) {
        return (int) rows.filter(row -> row.get(key).asString().equals(value)).count();
    }

    private static JsonNode only(JsonNode lists) {
        assertThat(lists).hasSize(1);
        return lists.get(0);
    }

    private static Reply turn(String turned) throws Exception {
        int revision =
                orla.get("/api/lists/same/reading-plan").json().get("revision").asInt();
        return orla.put(
                "/api/lists/same/reading-plan",
                "{\"every\": \"DAY\", \"dayOfWeek\": \"MONDAY\", \"dayOfMonth\": 1, \"at\": \"06:00\", \"turned\": "
                        + turned + "}",
                "\"" + revision + "\"");
    }

    @Test
    void every_number_of_a_list_is_the_same_wherever_it_stands() throws Exception {
        walk();
        int before = only(orla.get("/api/lists").json()).get("on").asInt();

        // What turning a dial would do is told before, and what is nowhere on record.
        JsonNode tried = orla.post("/api/lists/same/reading-plan/trial", "{\"turned\": {\"sites\": \"Mil Lane\"}}")
                .json();
        assertThat(tried.get("onNow").asInt()).isEqualTo(before);
        assertThat(tried.get("on").asInt()).isZero();
        assertThat(tried.get("doubts").toString()).contains("“Mil Lane” is nowhere on record as site.");
        assertThat(orla.get("/api/lists/same/reading-plan")
                        .json()
                        .at("/values/sites/0/value")
                        .asString())
                .isEqualTo("Mill Lane");

        assertThat(turn("{\"every\": \"P6M\"}").status()).isEqualTo(200);
        JsonNode rack = only(orla.get("/api/lists").json());
        assertThat(rack.get("on").asInt()).isGreaterThan(before);
        assertThat(rack.at("/dials/0/value").asString()).isEqualTo("6 months");
        assertThat(rack.at("/dials/0/turned").asBoolean()).isTrue();
        assertThat(rack.at("/dials/1/turned").asBoolean()).isFalse();
        walk();

        // Somebody who comes to have it by a setting has left, and was not done with.
        turn("{}");
        walk();
        assertThat(orla.get("/api/lists/same/desk?size=1000")
                        .json()
                        .get("rows")
                        .valueStream()
                        .filter(row -> row.get("standing").asString().equals("OFF")))
                .isNotEmpty()
                .allSatisfy(row -> {
                    assertThat(row.get("state").asString()).isEqualTo("LEFT");
                    assertThat(row.get("why").asString()).startsWith("The criteria changed");
                });

        // A birth date that comes moves somebody from one pile to the other, where they join now.
        clock.set(DAY.plusDays(20).atTime(9, 0).atZone(clock.getZone()).toInstant());
        People.bringIn(orla, "id,birth_date\np5,1950-01-01\n");
        JsonNode moved = new Desks(orla, "same").row("p5");
        assertThat(moved.get("standing").asString()).isEqualTo("ON");
        assertThat(moved.get("joinedOn").asString()).isEqualTo(today().toString());
        assertThat(moved.get("nextStep").asString()).isEqualTo("CALL");
        assertThat(orla.get("/api/lists/same/readings")
                        .json()
                        .get(0)
                        .get("joined")
                        .asInt())
                .isOne();
        walk();
    }

    @Test
    void who_may_look_at_a_list_looks_at_it_with_other_settings_and_changes_it_for_nobody() throws Exception {
        int on = only(orla.get("/api/lists").json()).get("on").asInt();
        JsonNode looked = caller.get("/api/lists/same?dial=sites=Harbour%20Row&dial=every=P1M")
                .json();
        assertThat(looked.get("rows")
                        .valueStream()
                        .map(row -> row.at("/person/site").asString()))
                .isNotEmpty()
                .containsOnly("Harbour Row");
        assertThat(looked.at("/dials/1/value").asString()).isEqualTo("Harbour Row");
        assertThat(caller.get("/api/lists/same?dial=sites=a;;b").type()).isEqualTo("urn:dipstick:invalid-criteria");
        assertThat(only(orla.get("/api/lists").json()).get("on").asInt()).isEqualTo(on);
    }

    @Test
    void who_works_a_list_and_what_it_is_meant_to_reach_is_told_at_the_rack() throws Exception {
        assertThat(only(orla.get("/api/lists").json()).get("inHandOf")).isEmpty();
        new Desks(caller, "same").does("TAKE", "p1");
        new Desks(caller, "same").does("TAKE", "p15");
        JsonNode mine = caller.get("/api/lists/same/desk?queue=MINE").json().get("rows");
        assertThat(only(orla.get("/api/lists").json()).get("inHandOf").toString())
                .isEqualTo("[{\"colleague\":\"Person tam\",\"people\":" + mine.size() + "}]");
        new Desks(caller, "same").does("LET_GO", "p1");
        new Desks(caller, "same").does("LET_GO", "p15");

        assertThat(only(orla.get("/api/lists").json()).has("target")).isFalse();
        assertThat(meant("0").status()).isEqualTo(422);
        assertThat(meant("101").status()).isEqualTo(422);
        assertThat(meant("80").status()).isEqualTo(200);
        assertThat(only(caller.get("/api/lists").json()).get("target").asInt()).isEqualTo(80);
        assertThat(orla.get("/api/lists/same/levels").json().get("target").asInt())
                .isEqualTo(80);
        // Whoever says how the list is worked and no target has it be none.
        assertThat(meant("null").status()).isEqualTo(200);
        assertThat(only(caller.get("/api/lists").json()).has("target")).isFalse();
    }

    private static Reply meant(String target) throws Exception {
        JsonNode desk = orla.get("/api/lists/same/desk").json();
        String manner = desk.get("manner").toString().replaceAll(",\"target\":\\d+", "");
        return orla.put(
                "/api/lists/same/desk/manner",
                manner.substring(0, manner.length() - 1) + ",\"target\":" + target + "}",
                "\"" + desk.get("mannerRevision").asInt() + "\"");
    }

    @Test
    void who_is_to_check_is_neither_called_nor_written_to_nor_taken_out_by_mistake() throws Exception {
        Desks desk = new Desks(caller, "same");
        assertThat(Desks.refusal(desk.does("ATTEMPT", "p15", "outcome", "\"reached\"")))
                .contains("is to check, not on the list");
        String wanted = "{\"format\": \"CSV\", \"people\": [\"p15\", \"p1\"], \"columns\": [\"PERSON_ID\"],"
                + " \"template\": \"Recall\", \"reason\": \"r\"%s}";
        assertThat(caller.post("/api/lists/same/out", wanted.formatted("")).text())
                .contains("p1")
                .doesNotContain("p15");
        assertThat(caller.post("/api/lists/same/out/check", wanted.formatted("").replace("CSV", "CALL_SHEET"))
                        .json()
                        .at("/leftOut/0/why")
                        .asString())
                .startsWith("Is to check");
        assertThat(caller.post("/api/lists/same/out", wanted.formatted(", \"toCheck\": true"))
                        .status())
                .as("only who may change the list")
                .isEqualTo(403);
        assertThat(orla.post("/api/lists/same/out", wanted.formatted(", \"toCheck\": true"))
                        .text())
                .contains("p15");
        assertThat(new Desks(orla, "same")
                        .does("ATTEMPT", "p15", "outcome", "\"no-answer\"")
                        .json()
                        .get("done"))
                .as("on purpose")
                .hasSize(1);
    }
}
