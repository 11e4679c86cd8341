package dipstick.server.accounts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.SetClock;
import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Signing in at the practice's own service, a real one. */
class OpenIdTest {
    private static final String BEGIN = "/api/sign-in/openid/service";
    private static final Pattern CSRF = Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]+)\"");

    @TempDir
    private static Path data;

    private static SetClock clock;
    private static RunningServer server;
    private static SignInServiceOfTest service;
    private static Visitor administrator;

    @BeforeAll
    static void begin() throws Exception {
        clock = SetClock.onThe(LocalDate.of(2026, 11, 27));
        int port = freePort();
        service = new SignInServiceOfTest(freePort(), "http://localhost:" + port);
        server = over("first", port, service.issuer(), "--dipstick.openid.groups[staff/front]=Front desk");
        administrator = server.signedIn("adm", Role.ADMINISTRATOR);
    }

    @AfterAll
    static void end() {
        server.stop();
        service.close();
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    private static RunningServer over(String folder, int port, String issuer, String... more) {
        List<String> settings = new ArrayList<>(List.of(
                "--server.port=" + port,
                "--dipstick.openid.issuer=" + issuer,
                "--dipstick.openid.client-id=" + SignInServiceOfTest.CLIENT,
                "--dipstick.openid.client-secret=" + SignInServiceOfTest.SECRET,
                "--dipstick.openid.label=Alder Lane sign-in",
                "--dipstick.openid.role-claim=access.roles",
                "--dipstick.openid.roles[recall desk]=caller",
                "--dipstick.openid.roles[it]=ADMINISTRATOR"));
        settings.addAll(List.of(more));
        return RunningServer.over(data.resolve(folder), clock, settings.toArray(String[]::new));
    }

    private static Map<String, Object> person(String name, List<String> roles, String groups) {
        return Map.of(
                "preferred_username", name, "name", "Of " + name, "access", Map.of("roles", roles), "groups", groups);
    }

    /** Somebody signs in there; where they are then. */
    private static URI comes(RunningServer at, Visitor visitor, String name) throws Exception {
        HttpResponse<String> form = visitor.follow(at.address().resolve(BEGIN));
        if (!form.uri().getPath().equals("/login")) {
            return form.uri();
        }
        Matcher csrf = CSRF.matcher(form.body());
        assertThat(csrf.find()).as(form.body()).isTrue();
        return visitor.submit(
                        form.uri(),
                        "username=" + encoded(name) + "&password=" + encoded(SignInServiceOfTest.PASSWORD) + "&_csrf="
                                + encoded(csrf.group(1)))
                .uri();
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    private static Visitor in(String name) throws Exception {
        Visitor visitor = server.visitor();
        URI there = comes(server, visitor, name);
        assertThat(there).as(() -> refusals()).hasToString(server.address() + "/");
        visitor.get("/api/session");
        return visitor;
    }

    /** Why nobody gets in, as whoever keeps the server reads it. */
    private static String refusals() {
        try {
            return administrator.get("/api/audit?act=SIGN_IN_REFUSED").text();
        } catch (Exception failure) {
            throw new AssertionError(failure);
        }
    }

    private static JsonNode signedIn(Visitor visitor) throws Exception {
        return visitor.get("/api/session").json().path("signedIn");
    }

    @Test
    void whoever_comes_the_first_time_has_an_account_with_the_name_roles_and_groups_that_the_service_says()
            throws Exception {
        service.says("wren", person(" Wren.Abel", List.of("recall desk", "of no use here"), "staff/front elsewhere"));
        Visitor wren = in("wren");
        JsonNode signedIn = signedIn(wren);
        assertThat(signedIn.get("name").asString()).isEqualTo("wren.abel");
        assertThat(signedIn.get("displayName").asString()).isEqualTo("Of  Wren.Abel");
        assertThat(signedIn.get("roles").valueStream().map(JsonNode::asString)).containsExactly("CALLER");
        assertThat(signedIn.get("vouchedFor").asBoolean()).isTrue();
        assertThat(server.bean(Accounts.class).groupsOf("wren.abel")).containsExactly("Front desk");
        assertThat(wren.get("/api/lists").status()).isEqualTo(200);
        assertThat(wren.get("/api/accounts").status()).isEqualTo(403);
        assertThat(administrator.get("/api/audit?who=wren.abel").text())
                .contains("ACCOUNT_CREATED", "SIGNED_IN", "GROUP_CHANGED");
        JsonNode offered = server.visitor().get("/api/session").json().get("service");
        assertThat(offered.get("label").asString()).isEqualTo("Alder Lane sign-in");
        assertThat(offered.get("begins").asString()).isEqualTo(BEGIN);
        assertThat(offered.get("alone").asBoolean()).isFalse();
    }

    @Test
    void what_the_service_says_later_holds_from_the_next_time_on_and_ends_what_was_open_with_more() throws Exception {
        service.says("ida", person("ida", List.of("it"), "staff/front"));
        Visitor before = in("ida");
        assertThat(before.get("/api/accounts").status()).isEqualTo(200);
        service.says("ida", person("ida", List.of("recall desk"), ""));
        Visitor after = in("ida");
        assertThat(before.get("/api/accounts").status()).isEqualTo(401);
        assertThat(after.get("/api/accounts").status()).isEqualTo(403);
        assertThat(server.bean(Accounts.class).groupsOf("ida")).isEmpty();

        // Without any role nobody gets in, and whoever is in is out.
        service.says("ida", person("ida", List.of("of no use here"), ""));
        assertThat(comes(server, server.visitor(), "ida")).hasToString(server.address() + "/?refused=no-role");
        assertThat(signedIn(after).isMissingNode()).isTrue();
        assertThat(administrator.get("/api/audit?who=nobody").text()).contains("by OpenID Connect: no-role");
    }

    @Test
    void it_is_the_key_of_the_service_that_says_who_somebody_is_not_the_name() throws Exception {
        service.says("ottilie", person("ottilie", List.of("recall desk"), ""));
        in("ottilie");
        service.says("ottilie", person("ottilie.married", List.of("recall desk"), ""));
        assertThat(signedIn(in("ottilie")).get("name").asString()).isEqualTo("ottilie");
        service.says("another", person("Ottilie", List.of("recall desk"), ""));
        assertThat(comes(server, server.visitor(), "another")).hasToString(server.address() + "/?refused=name-taken");

        service.says("usurper", person("ADM", List.of("it"), ""));
        assertThat(comes(server, server.visitor(), "usurper")).hasToString(server.address() + "/?refused=name-taken");
        service.says("nameless", Map.of("access", Map.of("roles", "it")));
        assertThat(comes(server, server.visitor(), "nameless")).hasToString(server.address() + "/?refused=no-name");
        service.says("log", person("Dipstick", List.of("it"), ""));
        assertThat(comes(server, server.visitor(), "log")).hasToString(server.address() + "/?refused=no-name");
        service.says("long", person("n".repeat(61), List.of("it"), ""));
        assertThat(comes(server, server.visitor(), "long")).hasToString(server.address() + "/?refused=no-name");
    }

    @Test
    void a_closed_account_stays_closed_and_its_roles_are_the_service_s_to_say() throws Exception {
        service.says("cleo", person("cleo", List.of("recall desk"), ""));
        Visitor cleo = in("cleo");
        String as = """
                {"displayName": "Cleo", "roles": ["%s"], "provider": "", "ownPeopleOnly": false,
                 "givenListsOnly": true, "closed": %s, "password": ""}""";
        assertThat(administrator
                        .put("/api/accounts/cleo", as.formatted("MANAGER", false), "\"1\"")
                        .type())
                .isEqualTo("urn:dipstick:signs-in-elsewhere");
        assertThat(administrator
                        .put("/api/accounts/cleo", as.formatted("CALLER", true), "\"1\"")
                        .status())
                .isEqualTo(200);
        assertThat(signedIn(cleo).isMissingNode()).isTrue();
        assertThat(comes(server, server.visitor(), "cleo")).hasToString(server.address() + "/?refused=closed");
    }

    @Test
    void whoever_signs_in_there_has_no_password_and_no_second_factor_here() throws Exception {
        administrator.put("/api/second-factor", "{\"roles\": {\"CALLER\": \"EITHER\"}}", "\"0\"");
        service.says("nell", person("nell", List.of("recall desk"), ""));
        Visitor nell = in("nell");
        assertThat(signedIn(nell).get("lacksSecondFactor").asBoolean()).isFalse();
        for (Reply refused : List.of(
                nell.post("/api/session/password", "{\"current\": \"x\", \"password\": \"some other long words\"}"),
                nell.post("/api/session/second-factor/secret", "{\"current\": \"x\"}"),
                nell.post("/api/session/second-factor/passkeys/options", "{\"current\": \"x\"}"))) {
            assertThat(refused.type()).isEqualTo("urn:dipstick:signs-in-elsewhere");
        }
        assertThat(server.visitor().triesToSignIn("nell", "", "192.0.2.9").status())
                .isEqualTo(401);

        String token = "{\"current\": \"\", \"label\": \"Sheet\", \"scopes\": [\"LISTS_READ\"], \"days\": 5}";
        assertThat(nell.post("/api/session/tokens", token).status()).isEqualTo(200);
        clock.set(clock.instant().plus(Duration.ofMinutes(11)));
        assertThat(nell.post("/api/session/tokens", token).type()).isEqualTo("urn:dipstick:sign-in-again");
    }

    @Test
    void signing_out_goes_on_to_the_service_which_sends_the_browser_back() throws Exception {
        service.says("tess", person("tess", List.of("recall desk"), ""));
        Visitor tess = in("tess");
        // The service knows her still: no password is asked for again.
        assertThat(comes(server, tess, "tess")).hasToString(server.address() + "/");
        tess.get("/api/session");
        Reply out = tess.post("/api/sign-out", "");
        assertThat(out.status()).isEqualTo(200);
        String next = out.json().get("next").asString();
        assertThat(next).startsWith(service.issuer());
        assertThat(tess.follow(URI.create(next)).uri()).hasToString(server.address() + "/");
        assertThat(signedIn(tess).isMissingNode()).isTrue();
        assertThat(tess.follow(server.address().resolve(BEGIN)).uri().getPath()).isEqualTo("/login");

        tess.get("/api/session");
        administrator.get("/api/session");
        Visitor local = server.signedIn("local", Role.CALLER);
        assertThat(local.post("/api/sign-out", "").status()).isEqualTo(204);
    }

    @Test
    void an_answer_is_good_once_and_for_the_browser_that_asked() throws Exception {
        service.says("finn", person("finn", List.of("recall desk"), ""));
        Visitor finn = server.visitor();
        String asked = finn.headers(BEGIN).get("location");
        assertThat(asked).contains("code_challenge_method=S256", "nonce=", "state=");
        assertThat(finn.headers(BEGIN).get("set-cookie")).contains("SameSite=Lax", "HttpOnly");
        String state = asked.replaceAll(".*[?&]state=([^&]+).*", "$1");
        URI answer = server.address().resolve("/api/sign-in/openid-answer?code=stolen&state=" + state);
        for (URI wrong : List.of(answer, server.address().resolve("/api/sign-in/openid-answer"))) {
            assertThat(server.visitor().follow(wrong).uri())
                    .hasToString(server.address() + "/?refused=not-vouched-for");
        }
        assertThat(refusals()).contains("not-vouched-for (authorization_request_not_found)");
        // Asked anew since, the first one is forgotten; a code of the service's that is none gets nobody in.
        assertThat(finn.follow(answer).uri()).hasToString(server.address() + "/?refused=not-vouched-for");
        assertThat(comes(server, finn, "finn")).hasToString(server.address() + "/");
    }

    @Test
    void with_an_emergency_account_all_others_that_are_kept_here_are_switched_off_and_adopted_ones_are_theirs()
            throws Exception {
        int port = freePort();
        String[] settings = {"--dipstick.openid.emergency-account=Keeper", "--dipstick.openid.adopt=true"};
        try (SignInServiceOfTest another = new SignInServiceOfTest(freePort(), "http://localhost:" + port)) {
            RunningServer strict = over("second", port, another.issuer(), settings);
            strict.bean(Accounts.class).create("keeper", "The keeper", Role.ADMINISTRATOR, "a long password");
            strict.bean(Accounts.class).create("orla", "Orla", Role.CALLER, "a long password");
            assertThat(strict.visitor()
                            .triesToSignIn("orla", "a long password", "192.0.2.9")
                            .type())
                    .isEqualTo("urn:dipstick:elsewhere-wanted");
            assertThat(strict.visitor()
                            .triesToSignIn("orla", "a wrong password", "192.0.2.9")
                            .type())
                    .isEqualTo("urn:dipstick:sign-in-refused");
            assertThat(strict.visitor()
                            .triesToSignIn("keeper", "a long password", "192.0.2.9")
                            .status())
                    .isEqualTo(204);
            assertThat(strict.visitor()
                            .get("/api/session")
                            .json()
                            .at("/service/alone")
                            .asBoolean())
                    .isTrue();

            another.says("orla", person("orla", List.of("it"), ""));
            Visitor orla = strict.visitor();
            assertThat(comes(strict, orla, "orla")).hasToString(strict.address() + "/");
            assertThat(signedIn(orla).get("roles").get(0).asString()).isEqualTo("ADMINISTRATOR");
            another.says("mallory", person("keeper", List.of("it"), ""));
            assertThat(comes(strict, strict.visitor(), "mallory"))
                    .hasToString(strict.address() + "/?refused=name-taken");
            strict.stop();
        }
    }

    @Test
    void a_service_that_is_away_keeps_nobody_out_who_signs_in_here() throws Exception {
        RunningServer alone = over("third", freePort(), "http://127.0.0.1:" + freePort());
        assertThat(comes(alone, alone.visitor(), "anybody")).hasToString(alone.address() + "/?refused=away");
        assertThat(comes(alone, alone.visitor(), "anybody")).hasToString(alone.address() + "/?refused=away");
        Visitor here = alone.signedIn("here", Role.ADMINISTRATOR);
        assertThat(here.get("/api/accounts").status()).isEqualTo(200);
        alone.stop();
    }

    @Test
    void settings_that_would_let_the_wrong_ones_in_keep_it_from_starting() {
        assertThatThrownBy(() -> over("none", 0, "http://sign-in.example"))
                .rootCause()
                .hasMessage("dipstick.openid.issuer must begin with https:, or be on this machine.");
        assertThatThrownBy(() -> over("none", 0, service.issuer(), "--dipstick.openid.roles[x]=KING"))
                .rootCause()
                .hasMessageContaining("KING");
        assertThatThrownBy(() -> over("none", 0, "", "--dipstick.openid.emergency-account=keeper"))
                .rootCause()
                .hasMessageContaining("would leave nobody else a way to sign in");
    }
}
