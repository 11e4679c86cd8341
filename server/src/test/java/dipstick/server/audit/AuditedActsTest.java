package dipstick.server.audit;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Every sign-in, every look at a person, every export and every change of what matters leaves a line. */
class AuditedActsTest {
    private static final String OUT = "{'format': '%s', 'people': ['seen-1'], 'columns': [%s], 'template': 'Recall',"
            + " 'reason': 'they are due'}";
    private static final String MANNER = "{'plan': {'steps': [{'step': 'CALL', 'afterDays': 0}], 'afterReached': 1,"
            + " 'afterBooked': 1}, 'hold': {'appointmentDays': 1, 'reachedDays': 1, 'doNotContact': true, 'noWay':"
            + " true}, 'parts': []}";
    private static final String WORK =
            "{'kind': 'NOTE', 'batch': 'audited', 'people': [{'person': 'seen-1', 'revision':"
                    + " 1}], 'outcome': '', 'words': 'x', 'step': 'NONE', 'day': '', 'to': '', 'everywhere': false}";

    private static Visitor orla;
    private static Visitor admin;
    private static Visitor manager;

    @BeforeAll
    static void begin() throws Exception {
        orla = People.signedIn("audited-orla", Role.COORDINATOR);
        admin = People.signedIn("audited-admin", Role.ADMINISTRATOR);
        manager = People.signedIn("audited-maud", Role.MANAGER);
        People.bringIn(orla, "id,family_name,phone,address\nseen-1,Seenwright,01632 960001,1 Ash Row\n");
        People.publish(orla, "seen-list", set());
        People.publish(
                orla,
                "seen-plain",
                "{\"format\": \"dipstick-criteria/1\", \"id\": \"seen-plain\", \"name\": \"Plain\", \"include\":"
                        + " [{\"id\": \"seen\", \"test\": {\"events\": {\"kinds\": [\"never seen\"]}}}]}");
        People.signedIn("audited-leaver", Role.CALLER);
    }

    private static String set() {
        return "{\"format\": \"dipstick-criteria/1\", \"id\": \"seen-list\", \"name\": \"Seen\", \"include\":"
                + " [{\"id\": \"mine\", \"test\": {\"field\": \"id\", \"startsWith\": \"seen-\"}}]}";
    }

    /** What an account did, the newest first. */
    private static List<String> lines(String account) throws Exception {
        JsonNode entries = manager.get("/api/audit?account=" + account).json().get("entries");
        return entries.valueStream()
                .map(one -> one.get("act").asString() + " " + one.get("subject").asString())
                .toList();
    }

    private static Reply ask(Visitor visitor, String method, String path, String body, String ifMatch)
            throws Exception {
        String json = body.replace('\'', '"');
        return switch (method) {
            case "GET" -> visitor.get(path);
            case "PUT" -> visitor.put(path, json, ifMatch);
            case "DELETE" -> visitor.delete(path);
            default -> visitor.post(path, json);
        };
    }

    private static String body(String name) {
        return switch (name) {
            case "csv" -> OUT.formatted("CSV", "'NAME', 'PHONE'");
            case "letters" -> OUT.formatted("LETTERS", "");
            case "labels" -> OUT.formatted("LABELS", "");
            case "sheet" -> OUT.formatted("CALL_SHEET", "");
            case "manner" -> MANNER;
            case "work" -> WORK;
            case "plan" -> "{'every': 'WEEK', 'dayOfWeek': 'MONDAY', 'dayOfMonth': 1, 'at': '07:30', 'turned': {}}";
            case "person" -> "{'person': 'seen-1', 'draft': {'settings': {}, 'document': " + set() + "}}";
            case "letter" -> "{'subject': 's', 'body': 'Dear {{name}}'}";
            case "region" ->
                "{'format': 'dipstick-region-levels/1', 'asked': '" + "0".repeat(64)
                        + "', 'criteria': 'seen-list', 'asOf': '2026-11-20', 'practices': [{}]}";
            case "group" -> "{'members': ['audited-orla']}";
            default -> "";
        };
    }

    @ParameterizedTest(name = "{0} {1} {2}")
    @CsvSource({
        "GET, /api/lists/seen-list, none, '', LIST_READ seen-list",
        "GET, /api/lists/seen-list/desk, none, '', LIST_READ seen-list",
        "GET, /api/lists/seen-list/levels, none, '', 'LIST_READ seen-list, levels'",
        "GET, /api/lists/seen-list/people/seen-1, none, '', PERSON_READ seen-1",
        "GET, /api/lists/seen-list/desk/people/seen-1, none, '', 'PERSON_READ seen-1, log'",
        "GET, /api/people?find=seenwright, none, '', PEOPLE_LISTED found by “seenwright”",
        "GET, /api/people/seen-1/standing, none, '', PERSON_READ seen-1",
        "POST, /api/bench/person, person, '', PERSON_READ seen-1",
        "GET, /api/lists/seen-list/csv, none, '', LIST_EXPORTED seen-list as of",
        "POST, /api/lists/seen-list/out, csv, '', 'LIST_EXPORTED seen-list as CSV, 1 people: name phone; they are due'",
        "POST, /api/lists/seen-list/out, letters, '', 'LIST_EXPORTED seen-list as LETTERS, 1 people'",
        "POST, /api/lists/seen-list/out, labels, '', 'LIST_EXPORTED seen-list as LABELS, 1 people'",
        "POST, /api/lists/seen-list/out, sheet, '', 'LIST_EXPORTED seen-list as CALL_SHEET, 1 people'",
        "POST, /api/lists/seen-list/desk/work, work, '', 'LIST_WORKED seen-list: NOTE, seen-1'",
        "GET, /api/region/seen-plain/question, none, '', CRITERIA_SENT seen-plain",
        "POST, /api/region/answers, region, '', 'REGION_ANSWER_CHANGED seen-list, as of 2026-11-20'",
        "DELETE, /api/region/seen-list/answers/2026-11-20, none, '', 'REGION_ANSWER_CHANGED seen-list, as of 2026-11-20, removed'",
        "POST, /api/lists/seen-list/readings, none, '', READING_TAKEN seen-list",
        "PUT, /api/lists/seen-list/desk/manner, manner, \"\"\"0\"\"\", 'LIST_CHANGED seen-list, how it is worked'",
        "PUT, /api/lists/seen-list/reading-plan, plan, \"\"\"0\"\"\", 'LIST_CHANGED seen-list, how it is read'",
        "PUT, /api/letters/Audited/en, letter, \"\"\"0\"\"\", LIST_CHANGED the letter “Audited”",
        "POST, /api/session/calendar, none, '', CALENDAR_CHANGED a new private address",
        "DELETE, /api/session/calendar, none, '', CALENDAR_CHANGED revoked",
    })
    void a_coordinators_acts_leave_a_line(String method, String path, String body, String ifMatch, String line)
            throws Exception {
        Reply reply = ask(orla, method, path, body(body), ifMatch.isEmpty() ? "" : "\"0\"");
        assertThat(reply.status()).as(reply.text()).isBetween(200, 204);
        assertThat(lines("audited-orla")).anyMatch(one -> one.startsWith(line));
    }

    @Test
    void changes_of_sets_and_of_sharing_leave_a_line() throws Exception {
        assertThat(lines("audited-orla"))
                .contains("SIGNED_IN audited-orla", "CRITERIA_SAVED seen-list, draft")
                .contains("CRITERIA_PUBLISHED seen-list, version 1")
                .anyMatch(one -> one.startsWith("SHARING_CHANGED seen-list, owner audited-orla, everybody CHANGE"))
                .contains("RECORDS_BROUGHT_IN test.csv");
    }

    @Test
    void an_administrators_acts_leave_a_line() throws Exception {
        admin.put("/api/groups/audited-group", body("group").replace('\'', '"'), "\"0\"");
        admin.post("/api/accounts/audited-leaver/hand-over", "{\"to\": \"audited-orla\"}");
        admin.put(
                "/api/accounts/audited-leaver",
                "{\"displayName\": \"L\", \"roles\": [\"CALLER\"], \"provider\": \"\", \"ownPeopleOnly\": false,"
                        + " \"givenListsOnly\": false, \"closed\": true, \"password\": \"\"}",
                "\"1\"");
        assertThat(lines("audited-admin"))
                .contains(
                        "GROUP_CHANGED audited-group: audited-orla",
                        "HANDED_OVER audited-leaver to audited-orla",
                        "ACCOUNT_CHANGED audited-leaver as caller, closed");
    }

    @Test
    void what_is_refused_takes_nothing_out_and_leaves_no_line_of_an_export() throws Exception {
        Visitor caller = People.signedIn("refused-caller", Role.CALLER);
        String withoutReason = body("csv").replace("they are due", " ").replace('\'', '"');
        assertThat(caller.post("/api/lists/seen-list/out", withoutReason).type())
                .isEqualTo("urn:dipstick:reason-missing");
        assertThat(lines("refused-caller")).noneMatch(one -> one.startsWith("LIST_EXPORTED"));
        assertThat(caller.get("/api/audit").status()).isEqualTo(403);
    }

    @Test
    void nothing_in_the_log_is_changed_or_removed_by_anybody() throws Exception {
        for (Visitor visitor : List.of(orla, admin, manager)) {
            assertThat(visitor.delete("/api/audit").status()).isGreaterThanOrEqualTo(400);
            assertThat(visitor.put("/api/audit", "{}", "").status()).isGreaterThanOrEqualTo(400);
            assertThat(visitor.post("/api/audit", "{}").status()).isGreaterThanOrEqualTo(400);
        }
    }
}
