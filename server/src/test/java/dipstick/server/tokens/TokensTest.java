package dipstick.server.tokens;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.SetClock;
import dipstick.server.accounts.Role;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What programs may do with a token, and that it is nothing else. */
class TokensTest {
    private static final String MINE = "/api/session/tokens";

    @TempDir
    private static Path data;

    private static SetClock clock;
    private static RunningServer server;
    private static Visitor coordinator;
    private static Visitor administrator;

    @BeforeAll
    static void begin() throws Exception {
        clock = SetClock.onThe(LocalDate.of(2026, 11, 27));
        server = RunningServer.over(data, clock);
        coordinator = server.signedIn("orla", Role.COORDINATOR);
        administrator = server.signedIn("adm", Role.ADMINISTRATOR);
    }

    @AfterAll
    static void end() {
        server.stop();
    }

    private static Reply asks(Visitor visitor, String password, String scopes, int days) throws Exception {
        return visitor.post(
                MINE,
                "{\"current\": \"" + password + "\", \"label\": \"The laboratory\", \"scopes\": [" + scopes
                        + "], \"days\": " + days + "}");
    }

    private static JsonNode made(Visitor visitor, String scopes) throws Exception {
        Reply reply = asks(visitor, "a long password", scopes, 30);
        assertThat(reply.status()).as(reply.text()).isEqualTo(200);
        return reply.json();
    }

    private static Visitor program(JsonNode made) {
        return server.program(made.get("token").asString());
    }

    @Test
    void it_is_made_with_the_password_told_once_and_for_what_the_roles_hold() throws Exception {
        assertThat(asks(coordinator, "another one", "\"LISTS_READ\"", 30).type())
                .isEqualTo("urn:dipstick:wrong-password");
        assertThat(asks(coordinator, "a long password", "", 30).status()).isEqualTo(422);
        assertThat(asks(coordinator, "a long password", "\"EVERYTHING\"", 30).status())
                .isEqualTo(400);
        assertThat(asks(coordinator, "a long password", "\"LISTS_READ\"", 367).status())
                .isEqualTo(422);
        assertThat(asks(server.signedIn("caller", Role.CALLER), "a long password", "\"RECORDS_BRING_IN\"", 30)
                        .type())
                .isEqualTo("urn:dipstick:scope-not-yours");
        JsonNode token = made(coordinator, "\"LISTS_READ\"");
        assertThat(coordinator.get(MINE).text())
                .contains("The laboratory", token.get("id").asString(), "\"expires\":\"2026-12-27T")
                .doesNotContain(token.get("token").asString());
        assertThat(administrator.get("/api/audit?act=ACCOUNT_CHANGED").text())
                .contains("made for a program: LISTS_READ")
                .doesNotContain(token.get("token").asString());
    }

    @ParameterizedTest
    @ValueSource(strings = {"dipstick-", "dipstick-AAAA", "' OR 1=1 --"})
    void what_is_no_token_gets_nothing(String token) throws Exception {
        Reply refused = server.program(token).get("/api/lists");
        assertThat(refused.type()).isEqualTo("urn:dipstick:token-refused");
        assertThat(server.program("x".repeat(5000)).get("/api/session").status())
                .isEqualTo(401);
    }

    /** Every address of the description but those of the scope, its own account's too. */
    @Test
    void it_opens_the_doors_of_its_scope_and_no_other() throws Exception {
        Visitor reads = program(made(coordinator, "\"LISTS_READ\""));
        assertThat(reads.get("/api/lists").status()).isEqualTo(200);
        assertThat(reads.get("/api/lists/none").status()).isEqualTo(404);
        List<String> opened = new ArrayList<>();
        JsonNode paths = JsonMapper.shared()
                .readTree(Files.readString(Path.of("../docs/openapi.json")))
                .get("paths");
        for (String path : paths.propertyNames()) {
            for (String method : paths.get(path).propertyNames()) {
                String asked = path.replaceAll("\\{[^}]*}", "none");
                // A record system's own door does not know such a token at all.
                boolean isShut = List.of(401, 403)
                        .contains(reads.send(method, asked, "{}", "").status());
                if (!isShut) {
                    opened.add(method + " " + path);
                }
            }
        }
        assertThat(opened)
                .containsExactlyInAnyOrder(
                        "get /api/lists",
                        "get /api/lists/{id}",
                        "get /api/lists/{id}/csv",
                        "get /api/lists/{id}/csv-metadata.json",
                        "get /api/lists/{set}/readings");
        assertThat(reads.get("/api/session").type()).isEqualTo("urn:dipstick:beyond-scope");
    }

    @Test
    void it_brings_a_file_in_without_a_page_and_the_log_says_that_a_program_did() throws Exception {
        JsonNode token = made(coordinator, "\"RECORDS_BRING_IN\"");
        Visitor laboratory = program(token);
        Reply uploaded = laboratory.upload("id\nt1\n".getBytes(StandardCharsets.UTF_8));
        assertThat(uploaded.status()).as(uploaded.text()).isEqualTo(200);
        JsonNode taken = People.take(laboratory, People.settled(laboratory, uploaded.json()));
        assertThat(taken.get("stage").asString()).isEqualTo("TAKEN");
        assertThat(administrator.get("/api/audit/export").text())
                .contains("token " + token.get("id").asString().substring(0, 10));
        assertThat(coordinator.get(MINE).text()).contains("\"lastUsed\":\"2026-", "\"lastAddress\":\"127.0.0.1\"");
    }

    @Test
    void it_ends_when_it_expires_or_is_withdrawn_and_only_by_its_own_account() throws Exception {
        Visitor other = server.signedIn("other", Role.COORDINATOR);
        JsonNode expires = made(other, "\"LISTS_READ\"");
        JsonNode withdrawn = made(other, "\"LISTS_READ\"");
        String address = MINE + "/" + withdrawn.get("id").asString();
        assertThat(coordinator.delete(address).status()).isEqualTo(404);
        assertThat(program(withdrawn).get("/api/lists").status()).isEqualTo(200);
        assertThat(other.delete(address).status()).isEqualTo(204);
        assertThat(program(withdrawn).get("/api/lists").status()).isEqualTo(401);
        clock.set(clock.instant().plus(Duration.ofDays(30)).minusSeconds(1));
        assertThat(program(expires).get("/api/lists").status()).isEqualTo(200);
        clock.set(clock.instant().plusSeconds(1));
        assertThat(program(expires).get("/api/lists").status()).isEqualTo(401);
        clock.set(LocalDate.of(2026, 11, 27));
    }

    @Test
    void other_rights_and_another_password_end_it_at_once() throws Exception {
        Visitor changed = server.signedIn("changed", Role.COORDINATOR);
        JsonNode first = made(changed, "\"LISTS_READ\"");
        changed.post(
                "/api/session/password", "{\"current\": \"a long password\", \"password\": \"cobble anvil meadow 9\"}");
        assertThat(program(first).get("/api/lists").status()).isEqualTo(401);
        JsonNode second =
                asks(changed, "cobble anvil meadow 9", "\"LISTS_READ\"", 1).json();
        int revision = administrator
                .get("/api/accounts")
                .json()
                .valueStream()
                .filter(one -> one.get("name").asString().equals("changed"))
                .findFirst()
                .orElseThrow()
                .get("revision")
                .asInt();
        administrator.put(
                "/api/accounts/changed",
                "{\"displayName\": \"C\", \"roles\": [\"MANAGER\"], \"provider\": \"\", \"ownPeopleOnly\": false,"
                        + " \"givenListsOnly\": false, \"closed\": false, \"password\": \"\"}",
                "\"" + revision + "\"");
        assertThat(program(second).get("/api/lists").status()).isEqualTo(401);
    }
}
