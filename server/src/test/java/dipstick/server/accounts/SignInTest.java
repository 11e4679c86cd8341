package dipstick.server.accounts;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.SetClock;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Getting in, being kept out for a while, and being signed out; at times that are set. */
class SignInTest {
    private static final String PASSWORD = "a long password";
    private static int addresses;

    /** Each test is at an address of its own. */
    private final String home = "192.0.2." + ++addresses;

    private static final String ELSEWHERE = "198.51.100.7";

    @TempDir
    private static Path data;

    private static SetClock clock;
    private static RunningServer server;

    @BeforeAll
    static void begin() {
        clock = SetClock.onThe(LocalDate.of(2026, 11, 27));
        server = RunningServer.over(
                data, clock, "--dipstick.session.longest=16h", "--dipstick.proxies=127\\.0\\.0\\.1|0:0:0:0:0:0:0:1");
    }

    @AfterAll
    static void end() {
        server.stop();
    }

    private static void account(String name) {
        server.bean(Accounts.class).create(name, "Somebody", Role.CALLER, PASSWORD);
    }

    private static Reply tries(String name, String password, String from) throws Exception {
        return server.visitor().triesToSignIn(name, password, from);
    }

    private static void isGuessed(String name, String from, int times) throws Exception {
        for (int i = 0; i < times; i++) {
            tries(name, "wrong " + i, from);
        }
    }

    @Test
    void after_a_few_wrong_passwords_each_pause_is_longer_and_however_the_name_is_typed() throws Exception {
        account("guessed");
        for (String name : List.of("guessed", " Guessed", "GUESSED ", "guessed")) {
            assertThat(tries(name, "wrong", home).type()).isEqualTo("urn:dipstick:sign-in-refused");
        }
        Duration waited = Duration.ZERO;
        for (int pause : List.of(2, 4, 8, 16)) {
            assertThat(tries("guessed", PASSWORD, home).status()).isEqualTo(429);
            clock.set(clock.instant().plusSeconds(pause + 1));
            assertThat(tries("guessed", "wrong", home).status()).isEqualTo(401);
            waited = waited.plusSeconds(pause + 1);
        }
        assertThat(tries("guessed", PASSWORD, home).json().path("detail").asString())
                .contains("Wait", "nobody is kept out for good");
        clock.set(clock.instant().plus(Duration.ofMinutes(15)));
        assertThat(tries("guessed", PASSWORD, home).status()).isEqualTo(204);
    }

    @Test
    void nobody_is_kept_out_by_what_others_try_elsewhere() throws Exception {
        account("wanted");
        assertThat(tries("wanted", PASSWORD, home).status()).isEqualTo(204);
        for (int i = 0; i < 12; i++) {
            isGuessed("wanted", "203.0.113." + i, 5);
        }
        assertThat(tries("wanted", PASSWORD, home).status())
                .as("from where she signed in before")
                .isEqualTo(204);
        assertThat(tries("wanted", PASSWORD, ELSEWHERE).status())
                .as("from a new place at once")
                .isEqualTo(429);
        isGuessed("wanted", "203.0.113.1", 3);
        clock.set(clock.instant().plusSeconds(6));
        assertThat(tries("wanted", PASSWORD, ELSEWHERE).status())
                .as("after a short pause")
                .isEqualTo(204);
    }

    @Test
    void where_somebody_signed_in_before_the_pause_stays_short() throws Exception {
        account("shared");
        tries("shared", PASSWORD, home);
        for (int i = 0; i < 12; i++) {
            isGuessed("shared", home, 1);
            clock.set(clock.instant().plusSeconds(6));
        }
        assertThat(tries("shared", PASSWORD, home).status()).isEqualTo(204);
    }

    @Test
    void an_address_that_guesses_many_names_has_to_wait() throws Exception {
        for (int i = 0; i < 21; i++) {
            isGuessed("made up " + i, "203.0.113.99", 1);
        }
        assertThat(tries("made up 99", "wrong", "203.0.113.99").status()).isEqualTo(429);
    }

    @Test
    void names_and_passwords_of_any_length_cost_nothing_and_are_not_kept() throws Exception {
        assertThat(tries("n".repeat(61), PASSWORD, home).type()).isEqualTo("urn:dipstick:sign-in-refused");
        assertThat(tries("orla", "é".repeat(37), home).type()).isEqualTo("urn:dipstick:sign-in-refused");
        assertThat(tries("x".repeat(100_000), "y".repeat(1_000_000), home).status())
                .isIn(401, 413);
        assertThat(tries("my secret in the wrong place", "x", home).status()).isEqualTo(401);
        Visitor administrator = server.signedIn("looks", Role.ADMINISTRATOR);
        assertThat(administrator.get("/api/audit?act=SIGN_IN_REFUSED").text())
                .doesNotContain("secret", "nnn")
                .contains("a name that no account has");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "too short              | at least 15 characters",
                "passwordpassword       | among the first that are guessed",
                "qwertyuiopasdfg        | among the first that are guessed",
                "Paula likes the garden | does not hold the name",
                "changer of passwords   | does not hold the name",
                "ééééééééééééééééééééééééééééééééééééé | at most 72 bytes",
            })
    void what_is_no_password_is_refused_with_the_reason(String password, String why) throws Exception {
        Visitor administrator = server.signedIn("admin" + password.hashCode(), Role.ADMINISTRATOR);
        Reply refused = administrator.put("/api/accounts/changer", """
                {"displayName": "Paula Changer", "roles": ["CALLER"], "provider": "", "ownPeopleOnly": false,
                 "givenListsOnly": false, "closed": false, "password": "%s"}""".formatted(password), "\"0\"");
        assertThat(refused.type()).isEqualTo("urn:dipstick:password-refused");
        assertThat(refused.json().path("detail").asString()).contains(why);
    }

    @Test
    void who_changes_their_password_stays_and_is_signed_out_everywhere_else() throws Exception {
        Visitor here = server.signedIn("changing", Role.COORDINATOR);
        Visitor there = server.visitor().signIn("changing", "a%20long%20password");
        String calendar =
                here.post("/api/session/calendar", "").json().get("address").asString();
        JsonNode sessions = here.get("/api/session/sessions").json();
        assertThat(sessions.valueStream().map(one -> one.get("here").asBoolean()))
                .containsExactlyInAnyOrder(true, false);
        assertThat(sessions.get(0).get("browser").asString()).startsWith("Java-http-client");

        Reply wrong = here.post("/api/session/password", "{\"current\": \"x\", \"password\": \"another long one\"}");
        assertThat(wrong.type()).isEqualTo("urn:dipstick:wrong-password");
        Reply changed = here.post(
                "/api/session/password",
                "{\"current\": \"a long password\", \"password\": \"quite another long one\"}");
        assertThat(changed.status()).isEqualTo(204);
        assertThat(here.get("/api/lists").status()).isEqualTo(200);
        assertThat(there.get("/api/lists").status()).isEqualTo(401);
        assertThat(here.get(calendar).status()).isEqualTo(404);
        assertThat(tries("changing", PASSWORD, home).status()).isEqualTo(401);
        assertThat(tries("changing", "quite another long one", home).status()).isEqualTo(204);
    }

    @Test
    void one_ends_a_session_elsewhere_and_only_an_own_one() throws Exception {
        Visitor here = server.signedIn("ending", Role.COORDINATOR);
        Visitor there = server.visitor().signIn("ending", "a%20long%20password");
        String other = here.get("/api/session/sessions")
                .json()
                .valueStream()
                .filter(one -> !one.get("here").asBoolean())
                .findFirst()
                .orElseThrow()
                .get("id")
                .asString();
        Visitor stranger = server.signedIn("stranger", Role.COORDINATOR);
        assertThat(stranger.delete("/api/session/sessions/" + other).status()).isEqualTo(404);
        assertThat(there.get("/api/lists").status()).isEqualTo(200);
        assertThat(here.delete("/api/session/sessions/" + other).status()).isEqualTo(204);
        assertThat(there.get("/api/lists").status()).isEqualTo(401);
    }

    @Test
    void other_rights_end_what_was_open_at_once_the_stream_too() throws Exception {
        Visitor administrator = server.signedIn("giving", Role.ADMINISTRATOR);
        Visitor caller = server.signedIn("given", Role.CALLER);
        try (var stream = caller.stream("/api/together")) {
            Thread reading = Thread.ofVirtual().start(() -> stream.forEach(_ -> {}));
            String body = """
                    {"displayName": "Somebody", "roles": ["MANAGER"], "provider": "", "ownPeopleOnly": false,
                     "givenListsOnly": false, "closed": false, "password": ""}""";
            assertThat(administrator.put("/api/accounts/given", body, "\"1\"").status())
                    .isEqualTo(200);
            assertThat(reading.join(Duration.ofSeconds(10)))
                    .as("the stream ended")
                    .isTrue();
        }
        assertThat(caller.get("/api/lists").status()).isEqualTo(401);
    }

    @Test
    void a_session_lasts_no_longer_than_any_may() throws Exception {
        Visitor caller = server.signedIn("staying", Role.CALLER);
        clock.set(clock.instant().plus(Duration.ofHours(15)));
        assertThat(caller.get("/api/lists").status()).isEqualTo(200);
        clock.set(clock.instant().plus(Duration.ofHours(2)));
        assertThat(caller.get("/api/lists").status()).isEqualTo(401);
    }

    @ParameterizedTest
    @CsvSource({"dipstick", "Nobody"})
    void a_name_by_which_the_log_calls_itself_is_no_account(String name) throws Exception {
        Visitor administrator = server.signedIn("naming" + name.toLowerCase(Locale.ROOT), Role.ADMINISTRATOR);
        Reply refused = administrator.put("/api/accounts/" + name, """
                {"displayName": "X", "roles": ["CALLER"], "provider": "", "ownPeopleOnly": false,
                 "givenListsOnly": false, "closed": false, "password": "several words at once"}""", "\"0\"");
        assertThat(refused.type()).isEqualTo("urn:dipstick:name-reserved");
    }
}
