package dipstick.server.accounts;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.WrittenFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class RightsTest {
    private static final String BEFORE_TABLE = """
            # Who may do what

            Made from the test that tries each address as each role (`RightsTest`); `none` stands for a set, a person, an account
            that is named. Everything but signing in needs somebody who is signed in. Beyond their role:

            - What somebody may do with a set and its list, *Sharing* says of each: nothing, look, work, or change. A list that is
              not shared with them is not there to them: 404, as for one that never was.
            - A set that is private is no set to others who name it in one of theirs, on the bench and when they publish.
            - Who sees their own people only sees, is given, and finds no others, on any list: they are not there.
            - With somebody else's private set, person, session, token or passkey each of these addresses answers as with one that never
              was (`NotThereTest`); but a name that is taken cannot be given to another set.
            - Contact details go out of the house only with a reason, by who may work the list; who is to check only by who may change
              it.
            - Of the audit log, administrators see what concerns accounts and the house; managers see all of it.

            | address | coordinator | caller | clinician | manager | administrator |
            |---|---|---|---|---|---|
            """;

    private static final Map<Role, Visitor> VISITORS = new EnumMap<>(Role.class);

    /**
     * Address, method, and the beginnings of the roles that have the right. What somebody may do with a list that is there
     * depends on whom it is shared with, too: see SharingTest.
     */
    @ParameterizedTest(name = "{1} {0}: {2}")
    @CsvSource({
        "/api/session, GET, CO CA CL MA AD",
        "/api/colleagues, GET, CO CA CL MA AD",
        "/api/given-up/none, POST, CO CA CL MA AD",
        "/api/session/hand-over, POST, CO CA CL MA AD",
        "/api/accounts, GET, AD",
        "/api/room, GET, CO CA CL MA AD",
        "/api/backups, GET, AD",
        "/api/backups, POST, AD",
        "/api/accounts/none, PUT, AD",
        "/api/accounts/none/hand-over, POST, AD",
        "/api/accounts/none/second-factor, DELETE, AD",
        "/api/second-factor, GET, AD",
        "/api/second-factor, PUT, AD",
        "/api/groups/none, PUT, AD",
        "/api/records, GET, CO CA CL MA AD",
        "/api/records/standing, GET, CO CA CL MA AD",
        "/api/records/vocabulary, GET, CO",
        "/api/records/terms, GET, CO",
        "/api/lists, GET, CO CA CL MA",
        "/api/lists/none, GET, CO CA CL MA",
        "/api/lists/none/csv, GET, CO CA CL MA",
        "/api/lists/none/csv-metadata.json, GET, CO CA CL MA",
        "/api/lists/none/people/p1, GET, CO CA CL MA",
        "/api/lists/none/readings, GET, CO CA CL MA",
        "/api/lists/none/readings, POST, CO CA CL MA",
        "/api/lists/none/readings/1/levels, GET, CO CA CL MA",
        "/api/lists/none/readings-compared?from=1&to=2, GET, CO CA CL MA",
        "/api/lists-compared?one=none&other=none, GET, CO CA CL MA",
        "/api/lists/none/reading-plan, GET, CO CA CL MA",
        "/api/lists/none/reading-plan, PUT, CO CA CL MA",
        "/api/lists/none/reading-plan/trial, POST, CO CA CL MA",
        "/api/lists/none/desk, GET, CO CA CL MA",
        "/api/lists/none/desk/people/p1, GET, CO CA CL MA",
        "/api/lists/none/desk/work, POST, CO CA CL MA",
        "/api/lists/none/desk/work/b, DELETE, CO CA CL MA",
        "/api/lists/none/desk/views, GET, CO CA CL MA",
        "/api/lists/none/desk/views, PUT, CO CA CL MA",
        "/api/lists/none/desk/everybody, GET, CO CA CL MA",
        "/api/lists/none/desk/next, GET, CO CA CL MA",
        "/api/lists/none/desk/manner, PUT, CO CA CL MA",
        "/api/lists/none/desk/manner/parts, GET, CO CA CL MA",
        "/api/outcomes, GET, CO",
        "/api/outcomes, PUT, CO",
        "/api/letterhead, GET, CO AD",
        "/api/letterhead, PUT, CO AD",
        "/api/letters, GET, CO CA CL",
        "/api/letters/none/en, PUT, CO",
        "/api/letters/none/en, DELETE, CO",
        "/api/mail, GET, CO CA CL",
        "/api/mail/sent, GET, CO",
        "/api/session/sessions, GET, CO CA CL MA AD",
        "/api/session/sessions/none, DELETE, CO CA CL MA AD",
        "/api/session/password, POST, CO CA CL MA AD",
        "/api/session/second-factor, GET, CO CA CL MA AD",
        "/api/session/second-factor, PUT, CO CA CL MA AD",
        "/api/session/second-factor/secret, POST, CO CA CL MA AD",
        "/api/session/second-factor/recovery-codes, POST, CO CA CL MA AD",
        "/api/session/second-factor/removed, POST, CO CA CL MA AD",
        "/api/session/second-factor/passkeys, GET, CO CA CL MA AD",
        "/api/session/second-factor/passkeys, POST, CO CA CL MA AD",
        "/api/session/second-factor/passkeys/none, DELETE, CO CA CL MA AD",
        "/api/session/second-factor/passkeys/options, POST, CO CA CL MA AD",
        "/api/session/tokens, GET, CO CA CL MA AD",
        "/api/session/tokens, POST, CO CA CL MA AD",
        "/api/session/tokens/none, DELETE, CO CA CL MA AD",
        "/api/session/calendar, GET, CO CA CL MA AD",
        "/api/session/calendar, POST, CO CA CL MA AD",
        "/api/session/calendar, DELETE, CO CA CL MA AD",
        "/api/lists/none/out, POST, CO CA CL MA",
        "/api/lists/none/out/about, POST, CO CA CL MA",
        "/api/lists/none/out/check, POST, CO CA CL MA",
        "/api/lists/none/out/preview, POST, CO CA CL MA",
        "/api/lists/none/out/mail, POST, CO CA CL MA",
        "/api/today, GET, CO CA CL MA",
        "/api/coming-in, GET, CO CA CL MA",
        "/api/coming-in/sheet, GET, CO CA CL MA",
        "/api/coming-in/sheet.pdf, GET, CO CA CL MA",
        "/api/who, GET, CO CA CL",
        "/api/sendings, GET, CO",
        "/api/sendings/none, PUT, CO",
        "/api/sendings/none, DELETE, CO",
        "/api/sendings/now, POST, CO CA CL MA",
        "/api/templates, GET, CO",
        "/api/templates/opened, POST, CO",
        "/api/templates/filled, POST, CO",
        "/api/templates/made, POST, CO",
        "/api/stand-in/record-system, GET, CO",
        "/api/stand-in/record-system/asks, POST, CO",
        "/api/stand-in/record-system/answers, POST, CO",
        "/api/record-systems, GET, AD",
        "/api/record-systems/none, PUT, AD",
        "/api/record-systems/none, DELETE, AD",
        "/api/who/none, GET, CO CA CL",
        "/api/who/none/prompts, GET, CO CA CL",
        "/api/lists/none/prompt, GET, CO CA CL MA",
        "/api/lists/none/prompt, PUT, CO CA CL MA",
        "/api/lists/none/prompt/dismissals, POST, CO CA CL MA",
        "/api/lists/none/prompt/dismissals/1, DELETE, CO CA CL MA",
        "/api/lists/none/levels, GET, CO CA CL MA",
        "/api/workload, GET, CO MA",
        "/api/region, GET, CO MA",
        "/api/region/none/question, GET, CO",
        "/api/region/answers, POST, CO",
        "/api/region/none/answers/2026-11-23, DELETE, CO",
        "/api/audit, GET, MA AD",
        "/api/audit/chain, GET, MA AD",
        "/api/audit/export, GET, MA AD",
        "/api/sharing/none, GET, CO",
        "/api/sharing/none, PUT, CO",
        "/api/criteria, GET, CO",
        "/api/criteria/none, GET, CO",
        "/api/criteria/none, PUT, CO",
        "/api/criteria/none, DELETE, CO",
        "/api/criteria/none/versions, GET, CO",
        "/api/criteria/none/versions/1, GET, CO",
        "/api/criteria/none/versions/next, POST, CO",
        "/api/criteria/none/publish, POST, CO",
        "/api/criteria/none/draft, DELETE, CO",
        "/api/criteria/none/retired, PUT, CO",
        "/api/criteria-schema, GET, CO CA CL MA AD",
        "/api/term-sets, GET, CO",
        "/api/term-sets/none, PUT, CO",
        "/api/term-sets/none, DELETE, CO",
        "/api/term-sets/none/versions, GET, CO",
        "/api/term-sets/none/offered, GET, CO",
        "/api/term-sets/none/effects, POST, CO",
        "/api/bench, POST, CO",
        "/api/bench/who, POST, CO",
        "/api/bench/person, POST, CO",
        "/api/bench/near, POST, CO",
        "/api/bench/typed, POST, CO",
        "/api/bench/text, POST, CO",
        "/api/bench/text/read, POST, CO",
        "/api/bench/ribbon, POST, CO",
        "/api/people, GET, CO CL",
        "/api/people/none, GET, CO CL",
        "/api/people/none/standing, GET, CO CL",
        "/api/people/none/log, GET, CO CL",
        "/api/people/none/report, POST, CO",
        "/api/people/none/erasure, POST, CO",
        "/api/erasures, GET, CO",
        "/api/erasures/1/kept-out, DELETE, CO",
        "/api/records/state, GET, CO",
        "/api/records/state/odd/FAR_VALUE, GET, CO",
        "/api/records/state/odd/FAR_VALUE/file, GET, CO",
        "/api/records/state/blank?kind=&field=phone, GET, CO",
        "/api/records/state/blank/file?kind=&field=phone, GET, CO",
        "/api/records/state/blank/lists?kind=&field=phone, GET, CO",
        "/api/records/state/nobody, GET, CO",
        "/api/records/state/nobody/file, GET, CO",
        "/api/records/state/otherwise, GET, CO",
        "/api/records/state/otherwise/file, GET, CO",
        "/api/records/terms/outside, GET, CO",
        "/api/rosters, GET, CO",
        "/api/rosters/none, GET, CO",
        "/api/rosters/none, PUT, CO",
        "/api/rosters/none, DELETE, CO",
        "/api/rosters/none/effects, POST, CO",
        "/api/rosters/file?name=x, POST, CO",
        "/api/comparisons, GET, CO",
        "/api/comparisons/none, PUT, CO",
        "/api/comparisons/none, DELETE, CO",
        "/api/comparisons/files?name=x, POST, CO",
        "/api/comparisons/things, POST, CO",
        "/api/comparisons/laid, POST, CO",
        "/api/comparisons/laid/none/SAME, GET, CO",
        "/api/comparisons/laid/none/SAME/csv, GET, CO",
        "/api/same-person, GET, CO",
        "/api/same-person/pair?one=1&other=2, GET, CO",
        "/api/same-person/joined, POST, CO",
        "/api/same-person/joined/0, DELETE, CO",
        "/api/same-person/apart, POST, CO",
        "/api/same-person/apart/0, DELETE, CO",
        "/api/deliveries/taken/0/taking-back, GET, CO AD",
        "/api/deliveries/taken/0/taking-back, POST, CO AD",
        "/api/deliveries?name=x, POST, CO AD",
        "/api/deliveries/waiting, GET, CO AD",
        "/api/deliveries/waiting/none, POST, CO AD",
        "/api/deliveries/waiting/none, DELETE, CO AD",
        "/api/deliveries/samples, GET, CO AD",
        "/api/deliveries/samples/none, GET, CO AD",
        "/api/deliveries/none, GET, CO AD",
        "/api/deliveries/none, DELETE, CO AD",
        "/api/deliveries/none/problems, GET, CO AD",
        "/api/deliveries/none/intake, PUT, CO AD",
        "/api/deliveries/none/reading, PUT, CO AD",
        "/api/deliveries/none/take, POST, CO AD",
        "/api/intakes, GET, CO AD",
        "/api/intakes/schema, GET, CO AD",
        "/api/intakes/none, PUT, CO AD",
        "/api/intakes/none, DELETE, CO AD",
        "/api/intakes/none/versions, GET, CO AD",
        "/api/intakes/none/document, GET, CO AD",
        "/v3/api-docs, GET, CO CA CL MA AD",
        "/api/nothing-of-the-kind, GET, CO CA CL MA AD",
    })
    void nobody_gets_in_unsigned_and_each_role_only_where_it_may(String path, String method, String allowed)
            throws Exception {
        Visitor stranger = RunningServer.shared().visitor();
        stranger.get("/api/session");
        if (!path.equals("/api/session")) {
            Reply refused = ask(stranger, path, method);
            assertThat(refused.status()).isEqualTo(401);
            assertThat(refused.type()).isEqualTo("urn:dipstick:signed-out");
        }
        List<String> may = List.of(allowed.split(" "));
        for (Role role : Role.values()) {
            Reply reply = ask(visitor(role), path, method);
            assertThat(reply.status() != 403 && reply.status() != 401)
                    .as("%s: %s", role, reply)
                    .isEqualTo(may.contains(role.name().substring(0, 2)));
        }
    }

    private static List<String[]> rows() throws NoSuchMethodException {
        return Arrays.stream(RightsTest.class
                        .getDeclaredMethod(
                                "nobody_gets_in_unsigned_and_each_role_only_where_it_may",
                                String.class,
                                String.class,
                                String.class)
                        .getAnnotation(CsvSource.class)
                        .value())
                .map(row -> row.split(", "))
                .toList();
    }

    /** Written by {@code -Drights.write=true}, so that what is read of rights is what is tested. */
    @Test
    void the_document_of_rights_is_the_table_that_is_tested() throws Exception {
        StringBuilder text = new StringBuilder(BEFORE_TABLE);
        for (String[] row : rows()) {
            text.append("| `")
                    .append(row[1])
                    .append(' ')
                    .append(row[0].replaceFirst("\\?.*", ""))
                    .append("` |");
            for (Role role : Role.values()) {
                boolean may = List.of(row[2].split(" ")).contains(role.name().substring(0, 2));
                text.append(may ? " yes |" : " |");
            }
            text.append('\n');
        }
        Path document = Path.of("../docs/rights.md");
        if (Boolean.getBoolean("rights.write")) {
            Files.writeString(document, text);
        }
        assertThat(document).hasContent(text.toString());
    }

    /** Written by {@code -Drights.write=true} too: pages offer what is somebody's duty, and ask no other table. */
    @Test
    void pages_know_the_same_duties() throws Exception {
        Map<String, Set<Role>> duties = new LinkedHashMap<>();
        for (Duty duty : Duty.values()) {
            duties.put(duty.name(), duty.roles());
        }
        WrittenFile.sameAs("web/src/session/duties.json", duties, "rights.write");
    }

    @Test
    void every_address_is_in_the_table() throws Exception {
        List<String> table = rows().stream()
                .map(row -> row[1] + " " + row[0].replaceFirst("\\?.*", ""))
                .toList();
        JsonNode paths = JsonMapper.shared()
                .readTree(Files.readString(Path.of("../docs/openapi.json")))
                .get("paths");
        List<String> missing = new ArrayList<>();
        paths.properties()
                .forEach(path -> path.getValue().propertyNames().forEach(method -> {
                    String asked = method.toUpperCase(Locale.ROOT) + " " + path.getKey();
                    Pattern template = Pattern.compile(asked.replaceAll("\\{[^}]*}", "[^/]+"));
                    if (table.stream().noneMatch(row -> template.matcher(row).matches())) {
                        missing.add(asked);
                    }
                }));
        assertThat(missing)
                .containsExactlyInAnyOrder(
                        "POST /api/first-account", // with a code that only who started the server has seen
                        "GET /calendar/{token}.ics", // for who has the private address
                        "GET /cds-services", // for record systems alone, which sign what they ask (HooksTest)
                        "POST /cds-services/{id}",
                        "POST /cds-services/{id}/feedback",
                        "GET /api/together"); // a stream that does not end, of what each may see
    }

    private static Visitor visitor(Role role) throws Exception {
        if (!VISITORS.containsKey(role)) {
            VISITORS.put(role, People.signedIn(role));
        }
        return VISITORS.get(role);
    }

    private static Reply ask(Visitor visitor, String path, String method) throws Exception {
        return switch (method) {
            case "GET" -> visitor.get(path);
            case "PUT" -> visitor.put(path, "{}", "");
            case "DELETE" -> visitor.delete(path, "\"1\"");
            default -> visitor.post(path, "{}");
        };
    }

    @Test
    void nobody_listens_unsigned() throws Exception {
        assertThat(RunningServer.shared().visitor().get("/api/together").status())
                .isEqualTo(401);
    }

    @Test
    void a_change_without_the_token_is_refused() throws Exception {
        Reply refused = People.coordinator().postWithoutToken("/api/deliveries/none/take");
        assertThat(refused.status()).isIn(401, 403);
    }

    @Test
    void the_first_account_needs_the_code_and_comes_only_once() throws Exception {
        Visitor visitor = RunningServer.shared().visitor();
        visitor.get("/api/session");
        Reply refused = visitor.post(
                "/api/first-account",
                "{\"code\": \"x\", \"name\": \"x\", \"displayName\": \"X\", \"password\": \"long enough\"}");
        assertThat(refused.status()).isEqualTo(403);
        assertThat(refused.type()).isEqualTo("urn:dipstick:wrong-code");
    }

    @Test
    void what_cannot_be_read_is_a_problem_without_a_trace() throws Exception {
        Reply reply = People.coordinator().post("/api/bench", "{\"document\": ");
        assertThat(reply.status()).isEqualTo(400);
        assertThat(reply.type()).isEqualTo("urn:dipstick:unreadable");
        assertThat(reply.text()).doesNotContain("Exception").doesNotContain("at dipstick");
    }
}
