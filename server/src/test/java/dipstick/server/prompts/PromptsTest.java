package dipstick.server.prompts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.InstanceOfAssertFactories.STRING;

import dipstick.server.People;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import dipstick.server.outreach.Desks;
import dipstick.server.paper.Pdf;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Who is told of whom, when, and who never is. */
class PromptsTest {
    private static final String ON = "{\"whenOpened\": true, \"whenComingIn\": true, \"toRecordSystems\": false,"
            + " \"sentence\": \"Your hearing check is due; shall we find a day?\"}";

    private static LocalDate today;
    private static LocalDate tomorrow;
    private static Visitor coordinator;
    private static Visitor caller;

    @BeforeAll
    static void begin() throws Exception {
        today = LocalDate.now(ZoneId.of("Europe/Lisbon"));
        tomorrow = today.plusDays(1);
        coordinator = People.signedIn("prompt-coordinator", Role.COORDINATOR);
        caller = People.signedIn("prompt-caller", Role.CALLER);
        People.bringIn(coordinator, """
                id,family_name,given_name,birth_date,phone,provider,site,do_not_contact,city
                pr-due,Promptwell,Ines,1950-02-03,01632 960881,Dr Sorrel,Mill Lane,,x
                pr-asked,Promptwell,Otto,1951-02-03,01632 960882,Dr Sorrel,Mill Lane,true,x
                pr-check,Promptwell,Cleo,1952-02-03,01632 960883,Dr Sorrel,Mill Lane,,
                pr-aside,Promptwell,Ada,1953-02-03,01632 960884,Dr Bramble,Harbour Row,,x
                pr-later,Promptwell,Lena,1954-02-03,01632 960885,Dr Bramble,Harbour Row,,x
                pr-other,Promptwell,Nils,1955-02-03,01632 960886,Dr Bramble,Harbour Row,,x
                """);
        People.bringIn(
                coordinator,
                "id,person_id,kind,on,provider,site,status\n"
                        + appointment("pr-e1", "pr-due", tomorrow, "Nurse Fern,Mill Lane,")
                        + appointment("pr-e2", "pr-asked", tomorrow, ",,")
                        + appointment("pr-e3", "pr-check", tomorrow, ",,")
                        + appointment("pr-e4", "pr-aside", tomorrow, ",,")
                        + appointment("pr-e5", "pr-later", tomorrow, ",,")
                        + appointment("pr-e6", "pr-later", tomorrow.plusDays(4), ",,")
                        + appointment("pr-e7", "pr-due", today.plusDays(90), ",,cancelled"));
        People.publishPrivately(
                coordinator,
                "pr-list",
                set("pr-list", "Hearing prompts", "pr-", "{\"field\":" + " \"city\", \"in\": [\"x\"]}"));
        People.share(
                coordinator,
                "pr-list",
                "NONE",
                "{\"kind\": \"COLLEAGUE\", \"grantee\": \"prompt-caller\", \"granted\": \"WORK\"}");
        People.publishPrivately(coordinator, "pr-private", set("pr-private", "Private prompts", "pr-other", ""));
        new Desks(coordinator, "pr-list").does("EXCUSE", "pr-aside", "words", "\"abroad\"");
    }

    private static String appointment(String id, String person, LocalDate on, String where) {
        return id + "," + person + ",appointment," + on + "," + where + "\n";
    }

    private static String set(String id, String name, String people, String other) {
        return "{\"format\": \"dipstick-criteria/1\", \"id\": \"" + id + "\", \"name\": \"" + name
                + "\", \"include\": [{\"id\": \"mine\", \"test\": {\"field\": \"id\", \"startsWith\": \"" + people
                + "\"}}" + (other.isEmpty() ? "" : ", {\"id\": \"other\", \"test\": " + other + "}") + "]}";
    }

    private static Reply turn(Visitor who, String rule, int revision) throws Exception {
        return who.put("/api/lists/pr-list/prompt", rule, "\"" + revision + "\"");
    }

    private static int revision() throws Exception {
        return coordinator
                .get("/api/lists/pr-list/prompt")
                .json()
                .get("revision")
                .asInt();
    }

    private static List<String> prompted(Visitor who, String person) throws Exception {
        return who.get("/api/who/" + person + "/prompts")
                .json()
                .valueStream()
                .map(one -> one.get("list").asString() + ": " + one.get("say").asString())
                .toList();
    }

    private static List<String> sheet(LocalDate day) throws Exception {
        return caller.get("/api/coming-in/sheet?day=" + day)
                .json()
                .get("groups")
                .valueStream()
                .flatMap(group -> group.get("people")
                        .valueStream()
                        .map(person -> group.get("site").asString() + ", "
                                + group.get("provider").asString() + ": "
                                + person.get("person").asString()))
                .toList();
    }

    private static List<String> found(Visitor who, String typed) throws Exception {
        return who.get("/api/who?find=" + URLEncoder.encode(typed, StandardCharsets.UTF_8))
                .json()
                .get("people")
                .valueStream()
                .map(person -> person.get("id").asString())
                .toList();
    }

    @Test
    void a_list_prompts_once_somebody_says_so_and_only_of_those_who_may_be_spoken_to() throws Exception {
        turn(coordinator, ON.replace("true", "false"), revision());
        assertThat(prompted(caller, "pr-due")).isEmpty();
        assertThat(sheet(tomorrow)).isEmpty();

        assertThat(turn(caller, ON, revision()).status()).isEqualTo(403);
        assertThat(turn(coordinator, ON, revision()).status()).isEqualTo(200);
        assertThat(turn(coordinator, ON, 0).status())
                .as("made of one that is gone")
                .isEqualTo(412);

        assertThat(sheet(tomorrow))
                .as("not of who asked not to be contacted, is to check, excused, or booked again")
                .containsExactly("Mill Lane, Nurse Fern: pr-due");
        assertThat(sheet(today)).isEmpty();
        assertThat(prompted(caller, "pr-due"))
                .as("is booked already, when they ring today")
                .isEmpty();
        assertThat(prompted(caller, "pr-other"))
                .containsExactly("Hearing prompts: Your hearing check is due; shall we find a day?");
        for (String never : List.of("pr-asked", "pr-check", "pr-aside")) {
            assertThat(prompted(caller, never)).as(never).isEmpty();
        }

        String printed = String.join(" ", Pdf.pages(caller.bytes("/api/coming-in/sheet.pdf?day=" + tomorrow)));
        assertThat(printed).contains("Mill Lane, Nurse Fern", "Promptwell, Ines", "shall we find a day?");
        assertThat(printed).doesNotContain("01632", "Otto");
        assertThat(Pdf.pages(caller.bytes("/api/coming-in/sheet.pdf?day=" + today)))
                .as("an empty sheet says so")
                .singleElement(STRING)
                .contains("Nobody comes in on this day");
    }

    @Test
    void whoever_is_dismissed_with_a_reason_is_not_told_of_for_a_while() throws Exception {
        turn(coordinator, ON, revision());
        Reply never = dismiss("pr-other", "", today.plusDays(7));
        assertThat(never.status()).isEqualTo(422);
        assertThat(dismiss("pr-other", "wants to think", today.minusDays(1)).status())
                .isEqualTo(422);
        assertThat(dismiss("pr-other", "wants to think", today.plusYears(2)).text())
                .contains("excuse them");
        assertThat(dismiss("nobody-at-all", "wants to think", today.plusDays(7)).status())
                .isEqualTo(404);

        Reply dismissed = dismiss("pr-other", "wants to think", today.plusDays(7));
        assertThat(prompted(coordinator, "pr-other")).isEmpty();
        JsonNode due = caller.get("/api/who/pr-other").json().at("/lists/0");
        assertThat(due.get("dismissed").asString())
                .startsWith("until ")
                .endsWith(": wants to think (Person prompt-caller)");
        long id = dismissed.json().get("id").asLong();
        assertThat(coordinator
                        .delete("/api/lists/pr-private/prompt/dismissals/" + id)
                        .status())
                .as("by another list")
                .isEqualTo(404);
        assertThat(caller.delete("/api/lists/pr-list/prompt/dismissals/" + id).status())
                .isEqualTo(204);
        assertThat(prompted(caller, "pr-other")).hasSize(1);
    }

    private static Reply dismiss(String person, String reason, LocalDate until) throws Exception {
        return caller.post(
                "/api/lists/pr-list/prompt/dismissals",
                "{\"person\": \"" + person + "\", \"reason\": \"" + reason + "\", \"until\": \"" + until + "\"}");
    }

    @Test
    void whoever_rings_is_found_on_the_lists_that_one_works_and_logged_there() throws Exception {
        for (String typed : List.of(
                "promptw nils",
                "03/02/1955",
                "3.2.1955",
                "3 feb 1955",
                "3rd February 1955 prompt",
                "1955-02-03",
                "01632 960 886",
                "+44 1632 960886",
                "960886")) {
            assertThat(found(caller, typed)).as(typed).containsExactly("pr-other");
        }
        assertThat(found(People.caller(), "promptwell"))
                .as("of no list of theirs")
                .isEmpty();

        JsonNode rings = caller.get("/api/who/pr-later").json();
        assertThat(rings.at("/lists/0/place/name").asString()).isEqualTo("Hearing prompts");
        assertThat(rings.at("/lists/0/place/keptBack").asString()).startsWith("Held back: Has an appointment");
        assertThat(rings.toString()).doesNotContain("Private prompts");
        assertThat(caller.get("/api/who/pr-other").text()).doesNotContain("Private prompts");
        assertThat(coordinator.get("/api/who/pr-other").text()).contains("Private prompts");
        assertThat(People.caller().get("/api/who/pr-later").status()).isEqualTo(404);
        assertThat(caller.get("/api/who/never-was").status()).isEqualTo(404);

        Desks desk = new Desks(caller, "pr-list");
        desk.does(
                "rang", "NOTE", "pr-later", rings.at("/lists/0/place/revision").asInt(), "words", "\"rang us\"");
        assertThat(desk.log("pr-later")).first().asString().contains("rang us");
    }

    @Test
    void who_had_it_done_since_the_last_reading_is_told_of_nothing() throws Exception {
        People.bringIn(coordinator, "id,family_name,phone,status\npd-1,Promptdone,01632 960887,active\n");
        People.publishPrivately(
                coordinator,
                "pd-list",
                "{\"format\": \"dipstick-criteria/1\", \"id\": \"pd-list\", \"name\": \"Done soon\", \"include\": [{\"id\":"
                        + " \"a\", \"test\": {\"all\": [{\"field\": \"id\", \"startsWith\": \"pd-\"}, {\"field\":"
                        + " \"status\", \"in\": [\"active\"]}]}}]}");
        coordinator.put("/api/lists/pd-list/prompt", ON, "\"0\"");
        assertThat(prompted(coordinator, "pd-1")).hasSize(1);
        coordinator.put(
                "/api/lists/pd-list/reading-plan",
                "{\"every\": \"NEVER\", \"dayOfWeek\": \"MONDAY\", \"dayOfMonth\": 1, \"at\": \"06:00\", \"turned\": {}}",
                "\"0\"");
        People.bringIn(coordinator, "id,family_name,phone,status\npd-1,Promptdone,01632 960887,left\n");
        assertThat(prompted(coordinator, "pd-1")).isEmpty();
        assertThat(coordinator.get("/api/who/pd-1").status()).isEqualTo(404);
    }

    @Test
    void today_tells_who_comes_in_this_week_and_why_somebody_is_not_told() throws Exception {
        turn(coordinator, ON, revision());
        List<String> week = caller.get("/api/coming-in")
                .json()
                .valueStream()
                .filter(one -> one.at("/person/id").asString().startsWith("pr-"))
                .map(one ->
                        one.at("/person/id").asString() + " " + one.get("on").asString() + " "
                                + one.at("/mention/0/prompt").asBoolean()
                                + one.at("/mention/0/toCheck").asBoolean() + " "
                                + one.at("/mention/0/not").asString("").replaceAll("[.:].*", ""))
                .toList();
        assertThat(week)
                .containsExactlyInAnyOrder(
                        "pr-due " + tomorrow + " truefalse ",
                        "pr-asked " + tomorrow + " falsefalse Held back",
                        "pr-check " + tomorrow + " falsetrue ",
                        "pr-aside " + tomorrow + " falsefalse Excused",
                        "pr-later " + tomorrow + " falsefalse Held back");
        assertThat(People.caller().get("/api/coming-in").text()).doesNotContain("Hearing prompts");
    }
}
