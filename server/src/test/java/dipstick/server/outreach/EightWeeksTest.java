package dipstick.server.outreach;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.SetClock;
import dipstick.server.accounts.Role;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** The life of a list through eight weeks of records that come in: who joins, who leaves, and why. */
class EightWeeksTest {
    private static final String LIST = "weekly";

    /** A Monday. */
    private static final LocalDate START = LocalDate.of(2026, 1, 5);

    @TempDir
    static Path folder;

    private static final SetClock CLOCK = SetClock.onThe(START);

    private static RunningServer server;
    private static Visitor coordinator;
    private static Visitor caller;

    @BeforeAll
    static void start() throws Exception {
        server = RunningServer.over(folder, CLOCK);
        coordinator = server.signedIn("coordinator", Role.COORDINATOR);
        caller = server.signedIn("caller", Role.CALLER);
    }

    @AfterAll
    static void stop() {
        server.stop();
    }

    private static String set(int age) {
        return ("{'format': 'dipstick-criteria/1', 'id': 'weekly', 'name': 'Weekly',"
                        + "'include': [{'id': 'old', 'test': {'age': {'from': " + age + "}}}],"
                        + "'exclude': [{'id': 'gone', 'unsure': 'fails', 'test': {'field': 'status', 'in': ['moved away']}}],"
                        + "'shouldHave': {'rule': 'any', 'of': [{'id': 'check', 'test': {'events': {'kinds': ['check'],"
                        + "'window': {'last': 'P12M'}}}}]}}")
                .replace('\'', '"');
    }

    private static void people(String rows) throws Exception {
        People.bringIn(coordinator, rows);
    }

    private static void events(String rows) throws Exception {
        People.bringIn(coordinator, "id,person_id,kind,on,status\n" + rows);
    }

    private static void week(int number) {
        CLOCK.set(START.plusWeeks(number));
    }

    private long latest;

    /** Who was found excused when it was asked last, and why. */
    private final List<String> excused = new ArrayList<>();

    /** Whose place changed since this was asked last, with the cause. */
    private List<String> moved() throws Exception {
        long before = latest;
        latest = coordinator
                .post("/api/lists/weekly/readings", "")
                .json()
                .get("id")
                .asLong();
        JsonNode compared = coordinator
                .get("/api/lists/weekly/readings-compared?from=" + before + "&to=" + latest)
                .json();
        List<String> moved = new ArrayList<>();
        excused.clear();
        for (JsonNode one : compared.get("people")) {
            if (one.has("excused")) {
                excused.add(one.at("/person/id").asString() + " "
                        + one.get("excused").asString());
            }
            if (!one.get("was").equals(one.get("nowIs"))) {
                moved.add(one.at("/person/id").asString() + " "
                        + (one.get("nowIs").asString().equals("ON") ? "joined" : "left") + " "
                        + one.get("cause").asString() + ": " + one.get("words").asString());
            }
        }
        return moved;
    }

    @Test
    void every_joined_and_left_has_its_week_and_its_reason_and_what_was_logged_stays() throws Exception {
        people("""
                id,birth_date,status,deceased_on
                checked,1950-05-05,,
                lapses,1950-05-05,,
                ages,1961-02-03,,
                moves,1950-05-05,,
                dies,1950-05-05,,
                corrected,1950-05-05,,
                younger,1964-01-01,,
                stays,1950-05-05,,
                unknown,,,
                vanishes,1950-05-05,,
                aside,1950-05-05,,
                """);
        events("e-lapses,lapses,check,2025-01-20,\n");
        People.publish(coordinator, LIST, set(65));
        Desks desk = new Desks(caller, LIST);
        latest = coordinator
                .post("/api/lists/weekly/readings", "")
                .json()
                .get("id")
                .asLong();
        assertThat(coordinator
                        .get("/api/lists/weekly/readings")
                        .json()
                        .at("/0/onList")
                        .asInt())
                .isEqualTo(7);
        desk.does("ATTEMPT", "dies", "outcome", "\"left-message\"", "words", "\"with the neighbour\"");
        desk.does("ATTEMPT", "checked", "outcome", "\"booked\"");
        desk.does("ATTEMPT", "stays", "outcome", "\"no-answer\"");
        desk.does("ATTEMPT", "vanishes", "outcome", "\"no-answer\"", "words", "\"moved, it seems\"");

        week(1);
        events("e-checked,checked,check,2026-01-10,\ne-corrected,corrected,check,2026-01-11,\n");
        assertThat(moved())
                .containsExactly(
                        "checked left DONE: Now on record: Check on 10 Jan 2026.",
                        "corrected left DONE: Now on record: Check on 11 Jan 2026.");
        assertThat(desk.state("checked")).isEqualTo("DONE");
        assertThat(desk.row("checked").has("inHand")).isFalse();
        assertThat(desk.state("stays")).isEqualTo("IN_PROGRESS");

        week(2);
        desk.does("EXCUSE", "aside", "words", "\"in hospital\"", "day", "\"2026-02-10\"");
        assertThat(moved()).as("the lookback runs out on Wednesday").isEmpty();
        assertThat(excused).containsExactly("aside until 10 Feb 2026: in hospital (Person caller)");

        week(3);
        events("e-corrected,corrected,check,2026-01-11,entered-in-error\n");
        assertThat(moved())
                .satisfiesExactly(
                        one -> assertThat(one).startsWith("corrected joined RECORDS: The records changed: "),
                        one -> assertThat(one)
                                .startsWith("lapses joined TIME: ")
                                .contains("21 Jan 2026"));

        week(4);
        people("id,status\nmoves,moved away\n");
        assertThat(moved()).containsExactly("moves left EXEMPT: Exempt: Status is moved away.");

        people("id,birth_date\nunknown,1950\n");
        assertThat(moved())
                .as("to check till the year of birth is known")
                .satisfiesExactly(one -> assertThat(one).startsWith("unknown joined RECORDS: The records changed: "));

        week(5);
        people("id,deceased_on\ndies,2026-02-01\n");
        assertThat(moved())
                .satisfiesExactly(
                        one -> assertThat(one).startsWith("ages joined TIME: ").contains("3 Feb 2026"),
                        one -> assertThat(one).startsWith("dies left DIED: "));
        assertThat(desk.state("dies")).isEqualTo("LEFT");
        assertThat(desk.log("dies")).anyMatch(line -> line.equals("ATTEMPT Left message with the neighbour"));

        week(6);
        people("id,birth_date\nnew-here,1949-09-09\n");
        assertThat(moved())
                .satisfiesExactly(
                        one -> assertThat(one).startsWith("new-here joined RECORDS: New on file: No check record"));

        week(7);
        coordinator.put("/api/criteria/weekly", set(60), "\"2\"");
        coordinator.post("/api/criteria/weekly/publish", "{\"note\": \"\"}", "\"3\"");
        assertThat(moved())
                .containsExactly("younger joined CRITERIA: The criteria changed: “aged 65 or over” keeps them off no"
                        + " more.");

        assertThat(desk.row("aside").has("excused"))
                .as("being excused ended by itself")
                .isFalse();
        People.bringInEverybody(coordinator, """
                id,status
                checked,
                lapses,
                ages,
                moves,moved away
                dies,
                corrected,
                younger,
                stays,
                unknown,
                aside,
                new-here,
                """);
        assertThat(moved()).containsExactly("vanishes left RECORDS: Is not on file any more.");
        assertThat(desk.state("vanishes")).isEqualTo("LEFT");
        assertThat(desk.row("vanishes").has("inHand")).isFalse();
        assertThat(desk.log("vanishes")).anyMatch(line -> line.equals("ATTEMPT No answer moved, it seems"));

        week(8);
        people("id,status\nmoves,active\n");
        assertThat(moved()).satisfiesExactly(one -> assertThat(one).startsWith("moves joined RECORDS: "));
        assertThat(desk.state("stays")).isEqualTo("IN_PROGRESS");
        assertThat(desk.row("stays").at("/lastAttempt/on").asString()).isEqualTo("2026-01-05");
        assertThat(desk.state("moves")).isEqualTo("TO_CONTACT");

        week(9);
        people("id,birth_date\nvanishes,1950-05-05\n");
        assertThat(moved())
                .satisfiesExactly(one -> assertThat(one).startsWith("vanishes joined RECORDS: New on file: "));
        assertThat(desk.log("vanishes"))
                .as("what was done with somebody who comes back")
                .anyMatch(line -> line.equals("ATTEMPT No answer moved, it seems"));
        assertThat(moved()).as("read again").isEmpty();
    }
}
