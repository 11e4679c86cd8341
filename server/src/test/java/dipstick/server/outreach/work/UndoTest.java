package dipstick.server.outreach.work;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import dipstick.server.outreach.Desks;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Whatever is done at the desk can be taken back by who did it, as long as nobody went on from there. */
class UndoTest {
    private final LocalDate today = LocalDate.now(ZoneId.of("Europe/Lisbon"));

    private static Visitor coordinator;
    private static Desks desk;
    private static Desks colleague;

    @BeforeAll
    static void begin() throws Exception {
        coordinator = People.coordinator();
        StringBuilder people = new StringBuilder("id,phone\n");
        for (int i = 1; i <= 30; i++) {
            people.append("undo-").append(i).append(",1\n");
        }
        People.bringIn(coordinator, people.toString());
        People.publish(
                coordinator,
                "undo",
                "{\"format\": \"dipstick-criteria/1\", \"id\": \"undo\", \"name\": \"Undo\", \"include\":"
                        + " [{\"id\": \"mine\", \"test\": {\"field\": \"id\", \"startsWith\": \"undo-\"}}]}");
        desk = new Desks(People.signedIn("undo-caller", Role.CALLER), "undo");
        colleague = new Desks(People.signedIn("undo-colleague", Role.CALLER), "undo");
    }

    /** Somebody at the desk, but for what changes with everything that is done. */
    private static JsonNode seen(String person) throws Exception {
        ObjectNode row = (ObjectNode) desk.row(person);
        row.remove("revision");
        if (row.has("inHand")) {
            ((ObjectNode) row.get("inHand")).remove("since");
        }
        return row;
    }

    @ParameterizedTest(name = "{1}")
    @CsvSource({
        "undo-1, TAKE, outcome, ''",
        "undo-2, ATTEMPT, outcome, reached",
        "undo-3, ATTEMPT, outcome, sent-letter",
        "undo-4, CLOSE, words, no response",
        "undo-5, EXCUSE, words, abroad",
        "undo-6, GIVE, to, undo-colleague",
    })
    void what_was_done_is_as_if_it_never_was(String person, String kind, String field, String value) throws Exception {
        Desks doing = kind.equals("GIVE") ? new Desks(coordinator, "undo") : desk;
        JsonNode before = seen(person);
        int revision = desk.row(person).get("revision").asInt();
        Reply done = doing.does("undo-" + person, kind, person, revision, field, "\"" + value + "\"");
        assertThat(done.json().get("refused")).as(done.text()).isEmpty();
        assertThat(seen(person)).isNotEqualTo(before);

        assertThat(doing.undo("undo-" + person).json().get("done").toString()).isEqualTo("[\"" + person + "\"]");
        assertThat(seen(person)).isEqualTo(before);
        assertThat(desk.log(person))
                .as("it stays in the log, marked")
                .first()
                .asString()
                .endsWith("(undone)");
        assertThat(doing.undo("undo-" + person).type()).isEqualTo("urn:dipstick:nothing-to-undo");
    }

    @Test
    void a_plan_that_is_taken_back_is_the_one_before() throws Exception {
        int revision = desk.row("undo-7").get("revision").asInt();
        desk.does("plan", "PLAN", "undo-7", revision, "step", "\"LETTER\"", "day", "\"" + today.plusDays(5) + "\"");
        assertThat(desk.next("undo-7")).isEqualTo("LETTER " + today.plusDays(5));
        desk.undo("plan");
        assertThat(desk.next("undo-7")).isEqualTo("CALL " + today);
    }

    @Test
    void who_was_brought_back_is_excused_again() throws Exception {
        desk.does("EXCUSE", "undo-8", "words", "\"in hospital\"");
        desk.does(
                "back",
                "BRING_BACK",
                "undo-8",
                desk.row("undo-8").get("revision").asInt());
        assertThat(desk.row("undo-8").has("excused")).isFalse();
        desk.undo("back");
        assertThat(desk.row("undo-8").get("excused").asString()).contains("in hospital");
    }

    @Test
    void what_a_colleague_did_is_not_mine_to_take_back() throws Exception {
        colleague.does(
                "theirs", "CLOSE", "undo-9", desk.row("undo-9").get("revision").asInt(), "words", "\"x\"");
        assertThat(desk.undo("theirs").type()).isEqualTo("urn:dipstick:nothing-to-undo");
        assertThat(desk.state("undo-9")).isEqualTo("CLOSED");
    }

    @Test
    void what_somebody_went_on_from_stays_and_that_is_told() throws Exception {
        desk.does(
                "first",
                "ATTEMPT",
                "undo-10",
                desk.row("undo-10").get("revision").asInt(),
                "outcome",
                "\"no-answer\"");
        desk.does(
                "second",
                "ATTEMPT",
                "undo-10",
                desk.row("undo-10").get("revision").asInt(),
                "outcome",
                "\"reached\"");
        JsonNode refused = desk.undo("first").json();
        assertThat(refused.get("done")).isEmpty();
        assertThat(refused.at("/refused/0/why").asString())
                .startsWith("This went on meanwhile, so it was not undone: ");
        assertThat(desk.next("undo-10")).startsWith("LOOK ");
        desk.undo("second");
        desk.undo("first");
        assertThat(desk.state("undo-10")).isEqualTo("TO_CONTACT");
        assertThat(desk.next("undo-10")).isEqualTo("CALL " + today);
    }

    @Test
    void nobody_is_taken_out_of_a_colleagues_hand_by_it() throws Exception {
        desk.does(
                "taken", "TAKE", "undo-21", desk.row("undo-21").get("revision").asInt());
        new Desks(coordinator, "undo").does("GIVE", "undo-21", "to", "\"undo-colleague\"");
        assertThat(desk.undo("taken").json().at("/refused/0/why").asString())
                .startsWith("This went on meanwhile, so it was not undone: Person person");
        assertThat(colleague.row("undo-21").at("/inHand/mine").asBoolean()).isTrue();
        colleague.does("NOTE", "undo-21", "words", "\"a note moves nobody\"");
        colleague.does(
                "go", "LET_GO", "undo-21", desk.row("undo-21").get("revision").asInt());
        colleague.undo("go");
        assertThat(colleague.row("undo-21").at("/inHand/mine").asBoolean()).isTrue();
    }

    @Test
    void what_was_done_to_many_is_taken_back_of_all_but_those_that_went_on() throws Exception {
        List<String> people = new ArrayList<>();
        List<String> targets = new ArrayList<>();
        for (int i = 11; i <= 15; i++) {
            String person = "undo-" + i;
            people.add(person);
            targets.add("{\"person\": \"" + person + "\", \"revision\": "
                    + desk.row(person).get("revision").asInt() + "}");
        }
        Reply done = desk.visitor()
                .post(
                        "/api/lists/undo/desk/work",
                        "{\"kind\": \"ATTEMPT\", \"batch\": \"many\", \"people\": [" + String.join(", ", targets)
                                + "], \"outcome\": \"sent-letter\", \"words\": \"\", \"step\": \"NONE\", \"day\": \"\","
                                + " \"to\": \"\", \"everywhere\": false}");
        assertThat(done.json().get("done")).hasSize(5);
        desk.does("ATTEMPT", "undo-13", "outcome", "\"reached\"");
        JsonNode undone = desk.undo("many").json();
        assertThat(undone.get("done")).hasSize(4);
        assertThat(undone.at("/refused/0/person").asString()).isEqualTo("undo-13");
        for (String person : people) {
            assertThat(desk.state(person)).isEqualTo(person.equals("undo-13") ? "IN_PROGRESS" : "TO_CONTACT");
        }
    }

    @Test
    void an_attempt_that_is_taken_back_is_a_record_that_never_counts() throws Exception {
        desk.does(
                "struck",
                "ATTEMPT",
                "undo-20",
                desk.row("undo-20").get("revision").asInt(),
                "outcome",
                "\"reached\"");
        desk.undo("struck");
        for (int i = 0; i < 100; i++) {
            JsonNode records =
                    coordinator.get("/api/lists/undo/people/undo-20").json().get("records");
            boolean counts = records.valueStream()
                    .anyMatch(one -> one.get("kind").asString().equals("contact"));
            if (!counts) {
                return;
            }
            Thread.sleep(20);
        }
        throw new AssertionError("The record of an attempt that was undone still counts");
    }
}
