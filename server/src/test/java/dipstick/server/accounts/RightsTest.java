package dipstick.server.accounts;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RightsTest {
    /** Address, method, and whether a caller has the right. */
    @ParameterizedTest(name = "{1} {0}")
    @CsvSource({
        "/api/records, GET, true",
        "/api/records/vocabulary, GET, true",
        "/api/lists, GET, true",
        "/api/lists/none, GET, true",
        "/api/lists/none/csv, GET, true",
        "/api/lists/none/people/p1, GET, true",
        "/api/lists/none/readings, GET, true",
        "/api/lists/none/readings, POST, false",
        "/api/lists/none/readings/1/changes, GET, true",
        "/api/criteria, GET, false",
        "/api/criteria/none, GET, false",
        "/api/criteria/none/versions, GET, false",
        "/api/criteria/none/versions/next, POST, false",
        "/api/criteria/none/publish, POST, false",
        "/api/criteria/none/draft, DELETE, false",
        "/api/criteria/none/retired, PUT, false",
        "/api/records/terms, GET, false",
        "/api/term-sets, GET, false",
        "/api/term-sets/none, PUT, false",
        "/api/term-sets/none, DELETE, false",
        "/api/term-sets/none/versions, GET, false",
        "/api/term-sets/none/offered, GET, false",
        "/api/term-sets/none/effects, POST, false",
        "/api/criteria/none/versions/1, GET, false",
        "/api/criteria-schema, GET, true",
        "/api/criteria/none, PUT, false",
        "/api/criteria/none, DELETE, false",
        "/api/bench, POST, false",
        "/api/bench/who, POST, false",
        "/api/bench/person, POST, false",
        "/api/bench/near, POST, false",
        "/api/bench/typed, POST, false",
        "/api/bench/text, POST, false",
        "/api/bench/text/read, POST, false",
        "/api/bench/ribbon, POST, false",
        "/api/people, GET, false",
        "/api/people/none/standing, GET, false",
        "/api/imports/none, GET, false",
        "/api/imports/none/take, POST, false",
        "/v3/api-docs, GET, true",
        "/api/nothing-of-the-kind, GET, true",
    })
    void nobody_gets_in_unsigned_and_a_caller_only_where_callers_may(String path, String method, boolean caller)
            throws Exception {
        Visitor stranger = RunningServer.shared().visitor();
        stranger.get("/api/session");
        Reply refused = ask(stranger, path, method);
        assertThat(refused.status()).isEqualTo(401);
        assertThat(refused.type()).isEqualTo("urn:dipstick:signed-out");

        int status = ask(People.caller(), path, method).status();
        assertThat(status == 403).isEqualTo(!caller);
        assertThat(ask(People.coordinator(), path, method).status()).isNotIn(401, 403);
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
    void a_change_without_the_token_is_refused() throws Exception {
        Reply refused = People.coordinator().postWithoutToken("/api/imports/none/take");
        assertThat(refused.status()).isIn(401, 403);
    }

    @Test
    void a_wrong_password_is_told_and_after_a_few_a_name_has_to_wait() throws Exception {
        RunningServer server = RunningServer.shared();
        server.bean(Accounts.class).create("guessed", "Guessed", Role.CALLER, "a long password");
        Visitor visitor = server.visitor();
        visitor.get("/api/session");
        for (int i = 0; i < 4; i++) {
            assertThat(signIn(visitor, "wrong").json().path("detail").asString())
                    .contains("not right");
        }
        signIn(visitor, "wrong");
        assertThat(signIn(visitor, "a long password").json().path("detail").asString())
                .contains("Wait a minute");
    }

    private static Reply signIn(Visitor visitor, String password) throws Exception {
        return visitor.post("/api/sign-in?username=guessed&password=" + password.replace(" ", "%20"), "");
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
        Reply tooShort = visitor.post(
                "/api/first-account",
                "{\"code\": \"x\", \"name\": \"x\", \"displayName\": \"X\", \"password\": \"x\"}");
        assertThat(tooShort.status()).isEqualTo(422);
        assertThat(tooShort.json().at("/errors/0/pointer").asString()).isEqualTo("/password");
    }

    @Test
    void what_cannot_be_read_is_a_problem_without_a_trace() throws Exception {
        Reply reply = People.coordinator().post("/api/bench", "{\"document\": ");
        assertThat(reply.status()).isEqualTo(400);
        assertThat(reply.type()).isEqualTo("urn:dipstick:unreadable");
        assertThat(reply.text()).doesNotContain("Exception").doesNotContain("at dipstick");
    }
}
