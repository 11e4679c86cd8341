package dipstick.server.accounts;

import static org.assertj.core.api.Assertions.assertThat;

import dev.samstevens.totp.code.DefaultCodeGenerator;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.SetClock;
import dipstick.server.accounts.secondfactor.SecondFactors;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** A code besides the password, at times that are set. */
class SecondFactorTest {
    private static final String PASSWORD = "a long password";
    private static final String AGAIN = "{\"current\": \"" + PASSWORD + "\"}";
    private static final String MINE = "/api/session/second-factor";
    private static final String HOME = "192.0.2.1";

    @TempDir
    private static Path data;

    private static SetClock clock;
    private static RunningServer server;
    private static Visitor administrator;

    @BeforeAll
    static void begin() throws Exception {
        clock = SetClock.onThe(LocalDate.of(2026, 11, 27));
        server = RunningServer.over(data, clock, "--dipstick.proxies=127\\.0\\.0\\.1|0:0:0:0:0:0:0:1");
        administrator = server.signedIn("adm", Role.ADMINISTRATOR);
    }

    @AfterAll
    static void end() {
        server.stop();
    }

    /** Each test has codes that no other used. */
    @BeforeEach
    void later() {
        clock.set(clock.instant().plus(Duration.ofMinutes(30)));
    }

    private record SetUp(Visitor visitor, String name, String secret, List<String> recovery) {
        Reply signsIn(String code) throws Exception {
            return server.visitor().triesToSignIn(name, PASSWORD, code, HOME);
        }
    }

    private static String codeOf(String secret, int periodsOff) throws Exception {
        return new DefaultCodeGenerator().generate(secret, clock.instant().getEpochSecond() / 30 + periodsOff);
    }

    private static SetUp setUp(String name) throws Exception {
        Visitor visitor = server.signedIn(name, Role.CALLER);
        JsonNode offered = visitor.post(MINE + "/secret", AGAIN).json();
        String secret = offered.get("secret").asString();
        Reply put = visitor.put(MINE, "{\"code\": \"" + codeOf(secret, 0) + "\"}", "");
        assertThat(put.status()).isEqualTo(200);
        return new SetUp(
                visitor,
                name,
                secret,
                put.json()
                        .get("recoveryCodes")
                        .valueStream()
                        .map(JsonNode::asString)
                        .toList());
    }

    @Test
    void it_is_set_up_with_the_password_and_a_code_and_asked_for_from_then_on() throws Exception {
        Visitor visitor = server.signedIn("settler", Role.CALLER);
        Visitor elsewhere = server.visitor().signIn("settler", "a%20long%20password");
        assertThat(visitor.post(MINE + "/secret", "{\"current\": \"another one\"}")
                        .type())
                .isEqualTo("urn:dipstick:wrong-password");
        assertThat(visitor.put(MINE, "{\"code\": \"123456\"}", "").status()).isEqualTo(409);
        JsonNode offered = visitor.post(MINE + "/secret", AGAIN).json();
        String secret = offered.get("secret").asString();
        assertThat(offered.get("address").asString())
                .startsWith("otpauth://totp/")
                .contains("settler", secret, "digits=6", "period=30");
        assertThat(offered.get("picture").asString()).startsWith("data:image/png;base64,");
        assertThat(visitor.put(MINE, "{\"code\": \"000000\"}", "").status()).isEqualTo(422);
        assertThat(server.visitor().triesToSignIn("settler", PASSWORD, HOME).status())
                .as("not before a code showed that the device has the secret")
                .isEqualTo(204);

        assertThat(visitor.put(MINE, "{\"code\": \"" + codeOf(secret, 0) + "\"}", "")
                        .json()
                        .get("recoveryCodes"))
                .hasSize(10);
        assertThat(elsewhere.get("/api/today").status())
                .as("signed out elsewhere")
                .isEqualTo(401);
        assertThat(visitor.get(MINE).json().get("recoveryCodes").asInt()).isEqualTo(10);
        assertThat(server.visitor().triesToSignIn("settler", PASSWORD, HOME).type())
                .isEqualTo("urn:dipstick:code-wanted");
        assertThat(server.visitor()
                        .triesToSignIn("settler", "another one", codeOf(secret, 1), HOME)
                        .type())
                .as("a right code tells nothing of the password")
                .isEqualTo("urn:dipstick:sign-in-refused");
        assertThat(server.visitor()
                        .triesToSignIn("settler", PASSWORD, codeOf(secret, 1), HOME)
                        .status())
                .isEqualTo(204);
    }

    @Test
    void a_code_is_good_about_its_time_and_once() throws Exception {
        SetUp one = setUp("timely");
        assertThat(one.signsIn(codeOf(one.secret(), 0)).type())
                .as("used when it was set up")
                .isEqualTo("urn:dipstick:code-refused");
        clock.set(clock.instant().plus(Duration.ofMinutes(2)));
        assertThat(one.signsIn(codeOf(one.secret(), -2)).status()).isEqualTo(401);
        assertThat(one.signsIn(codeOf(one.secret(), 2)).status()).isEqualTo(401);
        String code = codeOf(one.secret(), -1);
        assertThat(one.signsIn(code.substring(0, 3) + " " + code.substring(3)).status())
                .isEqualTo(204);
        assertThat(one.signsIn(code).status()).as("again").isEqualTo(401);
        assertThat(one.signsIn(codeOf(one.secret(), 1)).status()).isEqualTo(204);
        assertThat(one.signsIn(codeOf(one.secret(), 0)).status())
                .as("one before what was used")
                .isEqualTo(401);
    }

    @Test
    void of_six_who_use_one_code_at_once_one_gets_in() throws Exception {
        SetUp one = setUp("sixfold");
        clock.set(clock.instant().plus(Duration.ofMinutes(2)));
        SecondFactors factors = server.bean(SecondFactors.class);
        for (String code : List.of(codeOf(one.secret(), 0), one.recovery().getFirst())) {
            Callable<Boolean> use = () -> factors.use("sixfold", code);
            try (ExecutorService six = Executors.newFixedThreadPool(6)) {
                assertThat(six.invokeAll(List.of(use, use, use, use, use, use)).stream()
                                .filter(SecondFactorTest::isIn))
                        .hasSize(1);
            }
        }
    }

    private static boolean isIn(Future<Boolean> used) {
        return used.resultNow();
    }

    @Test
    void a_recovery_code_is_good_once_and_new_ones_replace_the_old() throws Exception {
        SetUp one = setUp("loser");
        String typed = one.recovery().get(3).toLowerCase(Locale.ROOT).replace('-', ' ');
        assertThat(one.signsIn(typed).status()).isEqualTo(204);
        assertThat(one.signsIn(typed).status()).isEqualTo(401);
        assertThat(one.visitor().get(MINE).json().get("recoveryCodes").asInt()).isEqualTo(9);
        SetUp other = setUp("other-loser");
        assertThat(other.signsIn(one.recovery().get(4)).status())
                .as("somebody else's")
                .isEqualTo(401);
        assertThat(one.visitor().post(MINE + "/recovery-codes", AGAIN).status()).isEqualTo(200);
        assertThat(one.signsIn(one.recovery().get(5)).status()).isEqualTo(401);
    }

    @Test
    void wrong_codes_have_to_wait_from_wherever_and_the_password_alone_does_not() throws Exception {
        SetUp one = setUp("coded");
        clock.set(clock.instant().plus(Duration.ofMinutes(2)));
        for (int i = 0; i < 4; i++) {
            server.visitor().triesToSignIn("coded", PASSWORD, "00000" + i, "203.0.113." + i);
        }
        assertThat(one.signsIn(codeOf(one.secret(), 0)).json().path("detail").asString())
                .contains("too many wrong codes");
        clock.set(clock.instant().plus(Duration.ofMinutes(1)));
        assertThat(one.signsIn(codeOf(one.secret(), 0)).status()).isEqualTo(204);
        assertThat(one.signsIn("9".repeat(500)).status()).isEqualTo(401);
        assertThat(administrator.get("/api/audit?act=SIGN_IN_REFUSED").text()).contains("coded");
    }

    @Test
    void whoever_it_is_asked_of_does_nothing_before_it_is_set_up_and_cannot_remove_it() throws Exception {
        Visitor clinician = server.signedIn("asked", Role.CLINICIAN);
        Visitor caller = server.signedIn("not-asked", Role.CALLER);
        int revision =
                administrator.get("/api/second-factor").json().get("revision").asInt();
        assertThat(administrator
                        .put("/api/second-factor", "{\"roles\": {\"CLINICIAN\": \"EITHER\"}}", "\"" + revision + "\"")
                        .status())
                .isEqualTo(200);
        assertThat(administrator
                        .put("/api/second-factor", "{\"roles\": {}}", "\"" + revision + "\"")
                        .status())
                .isEqualTo(412);
        for (String address :
                List.of("/api/today", "/api/lists", "/api/session/sessions", "/api/together", "/api/none")) {
            assertThat(clinician.get(address).type()).as(address).isEqualTo("urn:dipstick:second-factor-demanded");
        }
        assertThat(clinician
                        .get("/api/session")
                        .json()
                        .at("/signedIn/lacksSecondFactor")
                        .asBoolean())
                .isTrue();
        assertThat(caller.get("/api/today").status()).isEqualTo(200);

        String secret =
                clinician.post(MINE + "/secret", AGAIN).json().get("secret").asString();
        clinician.put(MINE, "{\"code\": \"" + codeOf(secret, 0) + "\"}", "");
        assertThat(clinician.get("/api/today").status()).isEqualTo(200);
        assertThat(clinician.post(MINE + "/removed", AGAIN).status()).isEqualTo(409);
        administrator.put("/api/second-factor", "{\"roles\": {}}", "\"" + (revision + 1) + "\"");
        assertThat(clinician.post(MINE + "/removed", AGAIN).status()).isEqualTo(204);
        assertThat(clinician.post(MINE + "/removed", AGAIN).status()).isEqualTo(404);
    }

    @Test
    void an_administrator_removes_it_for_who_lost_everything() throws Exception {
        SetUp one = setUp("lost-it");
        assertThat(administrator.get("/api/accounts").text()).contains("\"secondFactor\":true");
        assertThat(administrator.delete("/api/accounts/lost-it/second-factor").status())
                .isEqualTo(204);
        assertThat(one.visitor().get("/api/today").status()).isEqualTo(401);
        assertThat(one.signsIn("").status()).isEqualTo(204);
        assertThat(administrator.get("/api/audit?act=ACCOUNT_CHANGED").text())
                .contains("lost-it, second factor set up", "lost-it, second factor removed");
    }

    @Test
    void a_passkey_that_is_not_what_was_asked_for_is_kept_by_nobody_and_lets_nobody_in() throws Exception {
        Visitor visitor = server.signedIn("keyless", Role.CALLER);
        String passkeys = MINE + "/passkeys";
        assertThat(visitor.post(passkeys + "/options", "{\"current\": \"another one\"}")
                        .type())
                .isEqualTo("urn:dipstick:wrong-password");
        JsonNode asked = visitor.post(passkeys + "/options", AGAIN).json();
        assertThat(asked.at("/authenticatorSelection/userVerification").asString())
                .isEqualTo("required");
        assertThat(asked.at("/rp/id").asString()).isEqualTo("localhost");
        assertThat(asked.at("/user/id").asString()).doesNotContain("keyless");
        for (String made : List.of("{}", "{\"id\": \"x\", \"response\": {\"attestationObject\": \"AAAA\"}}")) {
            assertThat(visitor.post(passkeys, "{\"label\": \"Phone\", \"made\": " + made + "}")
                            .type())
                    .isEqualTo("urn:dipstick:passkey-refused");
        }
        assertThat(visitor.get(passkeys).text()).isEqualTo("[]");
        assertThat(visitor.delete(passkeys + "/AAAA").status()).isEqualTo(404);

        Visitor stranger = server.visitor();
        stranger.get("/api/session");
        assertThat(stranger.post("/api/sign-in/passkey/options", "")
                        .json()
                        .get("userVerification")
                        .asString())
                .isEqualTo("required");
        for (String answer : List.of("", "{}", "[1]", "{\"id\": \"AAAA\", \"response\": {\"signature\": \"AA\"}}")) {
            assertThat(stranger.post("/api/sign-in/passkey", answer).type())
                    .as(answer)
                    .isEqualTo("urn:dipstick:passkey-refused");
        }
        assertThat(stranger.get("/api/today").status()).isEqualTo(401);
    }
}
