package dipstick.server.hooks;

import static org.assertj.core.api.Assertions.assertThat;

import com.nimbusds.jose.JWSAlgorithm;
import com.nimbusds.jose.JWSHeader;
import com.nimbusds.jose.crypto.MACSigner;
import com.nimbusds.jwt.JWTClaimsSet;
import com.nimbusds.jwt.PlainJWT;
import com.nimbusds.jwt.SignedJWT;
import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import java.time.Instant;
import java.util.Date;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A record system asks over HTTP, as CDS Hooks 2.0 has it. */
class HooksTest {
    private static final String ISSUER = "https://chart.example.org";
    private static final String NUMBERS = "urn:example:chart-numbers";
    private static final String RULE = "{\"whenOpened\": false, \"whenComingIn\": false, \"toRecordSystems\": true,"
            + " \"sentence\": \"A *hearing* check is due.\"}";

    private static final String REPORT =
            "{\"format\": \"JSON\", \"asked\": {\"askedBy\": \"them\", \"why\": \"to see\"}}";

    private static Visitor coordinator;
    private static Visitor admin;
    private static Signing chart;

    @BeforeAll
    static void begin() throws Exception {
        coordinator = People.signedIn("hooks-coordinator", Role.COORDINATOR);
        admin = People.signedIn("hooks-admin", Role.ADMINISTRATOR);
        chart = new Signing();
        People.bringIn(coordinator, "id,family_name,phone\nhk-1,Hookwell,01632 960891\nhk-2,Hookwell,01632 960892\n");
        People.publishPrivately(
                coordinator,
                "hk-list",
                "{\"format\": \"dipstick-criteria/1\", \"id\": \"hk-list\", \"name\": \"Hearing checks\", \"include\":"
                        + " [{\"id\": \"mine\", \"test\": {\"field\": \"id\", \"in\": [\"hk-1\"]}}]}");
        People.publishPrivately(
                coordinator,
                "hk-draft",
                "{\"format\": \"dipstick-criteria/1\", \"id\": \"hk-draft\", \"name\": \"Tells nobody\", \"include\":"
                        + " [{\"id\": \"mine\", \"test\": {\"field\": \"id\", \"startsWith\": \"hk-\"}}]}");
        coordinator.put("/api/lists/hk-list/prompt", RULE, "\"0\"");
        assertThat(know("hk-chart", ISSUER, chart.withPrivateKeys(), "").text())
                .as("only what may be known is kept")
                .doesNotContain("\\\"d\\\"");
        know("hk-numbers", ISSUER + "/numbers", chart.publicKeys(), NUMBERS);
    }

    private static Reply know(String id, String issuer, String keys, String numbers) throws Exception {
        return admin.put(
                "/api/record-systems/" + id,
                "{\"name\": \"Chart " + id + "\", \"issuer\": \"" + issuer + "\", \"keys\": \""
                        + keys.replace("\"", "\\\"") + "\", \"numberSystem\": \"" + numbers + "\", \"source\": \"\"}",
                "");
    }

    private static String address(String service) throws Exception {
        return RunningServer.shared().address() + "/cds-services" + service;
    }

    private static Reply ask(String issuer, String service, String body) throws Exception {
        String token = chart.token(Signing.claims(issuer, address(service)).build());
        Visitor system = RunningServer.shared().program(token);
        return body.isEmpty() ? system.get("/cds-services" + service) : system.post("/cds-services" + service, body);
    }

    private static String asked(String hook, String patient, String prefetch) {
        return "{\"hook\": \"" + hook + "\", \"hookInstance\": \"" + UUID.randomUUID()
                + "\", \"fhirServer\": \"https://chart.example.org/fhir\", \"context\": {\"userId\":"
                + " \"Practitioner/9\", \"patientId\": \"" + patient + "\", \"appointments\": {\"resourceType\":"
                + " \"Bundle\"}}" + (prefetch.isEmpty() ? "" : ", \"prefetch\": {\"patient\": " + prefetch + "}") + "}";
    }

    private static String patient(String id, String system, String number) {
        return "{\"resourceType\": \"Patient\", \"id\": \"" + id + "\", \"active\": true, \"identifier\": [{\"system\":"
                + " \"urn:other\", \"value\": \"hk-1\"}, {\"use\": \"usual\", \"system\": \"" + system
                + "\", \"value\": \"" + number + "\"}]}";
    }

    @Test
    void what_there_is_is_discovered() throws Exception {
        JsonNode services = ask(ISSUER, "", "").json().get("services");
        assertThat(services.valueStream()
                        .map(one ->
                                one.get("id").asString() + " " + one.get("hook").asString()))
                .containsExactly("due-when-opened patient-view", "due-when-booked appointment-book");
        assertThat(services.at("/0/prefetch/patient").asString()).isEqualTo("Patient/{{context.patientId}}");
    }

    @Test
    void whoever_is_opened_or_booked_there_is_told_of_with_why_and_a_way_here() throws Exception {
        for (String service : List.of("/due-when-opened patient-view", "/due-when-booked appointment-book")) {
            String[] words = service.split(" ");
            JsonNode cards =
                    ask(ISSUER, words[0], asked(words[1], "hk-1", "")).json().get("cards");
            assertThat(cards.size()).as(service).isEqualTo(1);
            JsonNode card = cards.get(0);
            assertThat(card.get("summary").asString()).isEqualTo("Hearing checks: A *hearing* check is due.");
            assertThat(card.get("detail").asString())
                    .startsWith("**A \\*hearing\\* check is due.**")
                    .contains("n the list since");
            assertThat(card.get("indicator").asString()).isEqualTo("info");
            assertThat(card.at("/links/0/url").asString()).endsWith("/lists/hk-list?person=hk-1");
            assertThat(card.at("/source/label").asString()).startsWith("Dipstick");
        }
        assertThat(ask(ISSUER, "/due-when-opened", asked("patient-view", "hk-2", ""))
                        .text())
                .as("on no list that tells record systems")
                .isEqualTo(ask(ISSUER, "/due-when-opened", asked("patient-view", "never-was", ""))
                        .text())
                .isEqualTo("{\"cards\":[]}");
    }

    @Test
    void people_are_known_by_the_numbers_of_the_system_that_asks() throws Exception {
        String there = ISSUER + "/numbers";
        assertThat(ask(there, "/due-when-opened", asked("patient-view", "p9", patient("p9", NUMBERS, "hk-1")))
                        .json()
                        .get("cards")
                        .size())
                .isEqualTo(1);
        assertThat(ask(there, "/due-when-opened", asked("patient-view", "hk-1", patient("hk-1", "urn:x", "hk-1")))
                        .text())
                .as("by a number of another system")
                .isEqualTo("{\"cards\":[]}");
        assertThat(ask(there, "/due-when-opened", asked("patient-view", "hk-1", ""))
                        .status())
                .isEqualTo(412);
        assertThat(ask(there, "/due-when-opened", asked("patient-view", "p8", patient("p9", NUMBERS, "hk-1")))
                        .status())
                .as("another patient than the context's")
                .isEqualTo(400);
    }

    @Test
    void what_is_no_question_is_refused_in_a_sentence() throws Exception {
        for (String body : List.of(
                "[]",
                "{}",
                "{\"hook\": \"patient-view\", \"hookInstance\": \"1\", \"context\": {\"patientId\": \"\"}}",
                asked("patient-view", "hk-1", "{\"identifier\": [null]}"),
                asked("patient-view", "x".repeat(1000), ""))) {
            Reply reply = ask(ISSUER, "/due-when-opened", body);
            assertThat(reply.status()).as(body).isBetween(400, 422);
            assertThat(reply.json().get("detail").asString()).isNotEmpty();
        }
        assertThat(ask(ISSUER, "/due-when-opened", asked("patient-view", "hk-1", "null"))
                        .status())
                .as("a patient who is not known there")
                .isEqualTo(200);
        assertThat(ask(ISSUER, "/due-when-opened", asked("appointment-book", "hk-1", ""))
                        .text())
                .contains("other-hook");
        assertThat(ask(ISSUER, "/none", asked("patient-view", "hk-1", "")).status())
                .isEqualTo(404);
        assertThat(ask(ISSUER, "/due-when-opened/feedback", "{\"feedback\": [null]}")
                        .status())
                .isEqualTo(400);
    }

    @Test
    void what_came_of_a_card_is_kept_and_who_said_not_now_is_not_told_again() throws Exception {
        People.bringIn(coordinator, "id,family_name,phone\nhk-3,Hookwell,01632 960893\n");
        People.publishPrivately(
                coordinator,
                "hk-third",
                "{\"format\": \"dipstick-criteria/1\", \"id\": \"hk-third\", \"name\": \"Third\", \"include\":"
                        + " [{\"id\": \"mine\", \"test\": {\"field\": \"id\", \"in\": [\"hk-3\"]}}]}");
        coordinator.put("/api/lists/hk-third/prompt", RULE, "\"0\"");
        String card = ask(ISSUER, "/due-when-opened", asked("patient-view", "hk-3", ""))
                .json()
                .at("/cards/0/uuid")
                .asString();

        String unknown = feedback(UUID.randomUUID().toString(), "accepted", "");
        assertThat(ask(
                                ISSUER,
                                "/due-when-opened/feedback",
                                "{\"feedback\": [" + feedback(card, "accepted", "") + ", " + unknown + "]}")
                        .status())
                .as("all or nothing")
                .isEqualTo(404);
        assertThat(ask(ISSUER + "/numbers", "/due-when-opened/feedback", feedbacks(card, "accepted", ""))
                        .status())
                .as("of another system")
                .isEqualTo(404);
        assertThat(ask(ISSUER, "/due-when-opened/feedback", feedbacks(card, "shrugged", ""))
                        .status())
                .isEqualTo(422);

        String reason = ", \"overrideReason\": {\"reason\": {\"code\": \"declined\", \"system\":"
                + " \"urn:dipstick:not-now\", \"display\": \"Does not want it\"}, \"userComment\": \"ask in spring\"}";
        assertThat(ask(ISSUER, "/due-when-opened/feedback", feedbacks(card, "overridden", reason))
                        .status())
                .isEqualTo(200);
        assertThat(ask(ISSUER, "/due-when-opened", asked("patient-view", "hk-3", ""))
                        .text())
                .isEqualTo("{\"cards\":[]}");
        assertThat(coordinator
                        .get("/api/who/hk-3")
                        .json()
                        .get("lists")
                        .valueStream()
                        .filter(one -> one.at("/place/set").asString().equals("hk-third"))
                        .map(one -> one.get("dismissed").asString()))
                .singleElement()
                .asString()
                .endsWith(": Does not want it: ask in spring (record system hk-chart)");
        assertThat(coordinator.post("/api/people/hk-3/report", REPORT).text())
                .contains("Told to record systems", "overridden", "Not to be told of", "ask in spring");
    }

    private static String feedback(String card, String outcome, String more) {
        return "{\"card\": \"" + card + "\", \"outcome\": \"" + outcome
                + "\", \"outcomeTimestamp\": \"2026-11-28T10:00:00Z\"" + more + "}";
    }

    private static String feedbacks(String card, String outcome, String more) {
        return "{\"feedback\": [" + feedback(card, outcome, more) + "]}";
    }

    @Test
    void only_what_a_trusted_system_signed_for_this_address_now_and_once_is_let_in() throws Exception {
        String here = address("");
        assertThat(refused(chart.token(
                        Signing.claims("https://other.example.org", here).build())))
                .contains("(iss)");
        assertThat(refused(new Signing().token(Signing.claims(ISSUER, here).build())))
                .contains("none of the keys");
        assertThat(refused(chart.token(Signing.claims(ISSUER, "https://elsewhere.example.org/cds-services")
                        .build())))
                .contains("(aud)");
        Instant now = Instant.now();
        assertThat(refused(chart.token(Signing.claims(ISSUER, here)
                        .issueTime(Date.from(now.minusSeconds(900)))
                        .expirationTime(Date.from(now.minusSeconds(600)))
                        .build())))
                .contains("was good until");
        assertThat(refused(chart.token(Signing.claims(ISSUER, here)
                        .expirationTime(Date.from(now.plusSeconds(86_400)))
                        .build())))
                .contains("longer than");
        assertThat(refused(chart.token(Signing.claims(ISSUER, here)
                        .issueTime(Date.from(now.plusSeconds(600)))
                        .expirationTime(Date.from(now.plusSeconds(700)))
                        .build())))
                .contains("begins at");
        assertThat(refused(chart.token(Signing.claims(ISSUER, here).jwtID(null).build())))
                .contains("(jti)");
        assertThat(refused(chart.token(
                        Signing.claims(ISSUER, here).expirationTime(null).build())))
                .contains("exp");
        assertThat(refused(new PlainJWT(Signing.claims(ISSUER, here).build()).serialize()))
                .contains("not a signed");
        assertThat(refused(signedWithASecret(Signing.claims(ISSUER, here).build())))
                .contains("(alg)");
        assertThat(refused("no.token.atall")).contains("not a signed");
        assertThat(RunningServer.shared().visitor().get("/cds-services").status())
                .isEqualTo(401);
        assertThat(coordinator.get("/cds-services").status())
                .as("a colleague's session opens nothing here")
                .isEqualTo(401);

        String once = chart.token(Signing.claims(ISSUER, here).build());
        assertThat(RunningServer.shared().program(once).get("/cds-services").status())
                .isEqualTo(200);
        assertThat(refused(once)).contains("shown before");
        assertThat(RunningServer.shared()
                        .program(chart.token(Signing.claims(ISSUER, here).build()))
                        .get("/api/lists")
                        .status())
                .as("and opens no other door")
                .isEqualTo(401);
    }

    private static String refused(String token) throws Exception {
        Reply reply = RunningServer.shared().program(token).get("/cds-services");
        assertThat(reply.status()).isEqualTo(401);
        return reply.json().get("detail").asString();
    }

    private static String signedWithASecret(JWTClaimsSet claims) throws Exception {
        SignedJWT token = new SignedJWT(new JWSHeader(JWSAlgorithm.HS256), claims);
        token.sign(new MACSigner(new byte[32]));
        return token.serialize();
    }

    @Test
    void keys_that_are_none_and_issuers_of_others_are_refused() throws Exception {
        assertThat(know("hk-none", "https://none.example.org", "{}", "").status())
                .isEqualTo(422);
        assertThat(know("hk-none", "https://none.example.org", "{\"keys\": [{\"kty\": \"oct\", \"k\": \"AAAA\"}]}", "")
                        .text())
                .contains("not-keys");
        assertThat(know("hk-none", ISSUER, chart.publicKeys(), "").text()).contains("issuer-taken");
        assertThat(know("hk-chart", ISSUER, chart.publicKeys(), "").status())
                .as("made of none, though there is one")
                .isEqualTo(412);
        assertThat(admin.get("/api/record-systems").json().get("address").asString())
                .endsWith("/cds-services");
    }
}
