package dipstick.server.sending;

import static org.assertj.core.api.Assertions.assertThat;

import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.GreenMailUtil;
import com.icegreen.greenmail.util.ServerSetup;
import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.SetClock;
import dipstick.server.accounts.Role;
import dipstick.server.outreach.Desks;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** What colleagues are sent, when, of whom, and what is not sent twice. */
class SendingsTest {
    private static final String SET =
            "{\"format\": \"dipstick-criteria/1\", \"id\": \"feet\", \"name\": \"Foot check\","
                    + " \"include\": [{\"id\": \"active\", \"test\": {\"field\": \"status\", \"in\": [\"active\"]}}],"
                    + " \"shouldHave\": {\"rule\": \"all\", \"of\": [{\"id\": \"check\", \"test\": {\"events\": {\"kinds\": [\"visit\"]}}}]}}";

    private static final String PEOPLE = "id,family_name,given_name,birth_date,phone,provider,status\n";

    @TempDir
    private Path data;

    private GreenMail post;
    private SetClock clock;
    private RunningServer server;
    private Visitor orla;

    @BeforeEach
    void begin() throws Exception {
        post = post(0);
        clock = SetClock.onThe(LocalDate.of(2026, 11, 27));
        server = RunningServer.over(
                data,
                clock,
                "--spring.mail.host=127.0.0.1",
                "--spring.mail.port=" + post.getSmtp().getPort());
        orla = server.signedIn("orla", Role.COORDINATOR);
        Visitor admin = server.signedIn("admin", Role.ADMINISTRATOR);
        server.signedIn("tam", Role.CALLER);
        server.signedIn("pennifer", Role.CLINICIAN);
        server.signedIn("mute", Role.CALLER);
        address(admin, "orla", "COORDINATOR", "", false);
        address(admin, "tam", "CALLER", "", false);
        address(admin, "pennifer", "CLINICIAN", "Dr Pennifer", true);
        People.bringIn(
                orla,
                PEOPLE + "s-1,Sendwell,Ada,1950-02-03,01632 960871,Dr Pennifer,active\n"
                        + "s-2,Sendwell,<b>Bo</b>,1951-02-03,01632 960872,Dr Sorrel,active\n");
        People.publish(orla, "feet", SET);
        new Desks(orla, "feet").state("s-2");
    }

    private static GreenMail post(int port) {
        GreenMail started = new GreenMail(new ServerSetup(port, "127.0.0.1", ServerSetup.PROTOCOL_SMTP));
        started.start();
        return started;
    }

    @AfterEach
    void end() {
        server.stop();
        post.stop();
    }

    private static void address(Visitor admin, String name, String role, String provider, boolean ownOnly)
            throws Exception {
        int revision = admin.get("/api/accounts")
                .json()
                .valueStream()
                .filter(one -> one.get("name").asString().equals(name))
                .findFirst()
                .orElseThrow()
                .get("revision")
                .asInt();
        Reply changed = admin.put(
                "/api/accounts/" + name,
                "{\"displayName\": \"" + name + "\", \"roles\": [\"" + role + "\"], \"provider\": \"" + provider
                        + "\", \"ownPeopleOnly\": " + ownOnly + ", \"givenListsOnly\": false, \"closed\": false,"
                        + " \"email\": \"" + name + "@example.org\", \"password\": \"\"}",
                "\"" + revision + "\"");
        assertThat(changed.json().get("email").asString()).isEqualTo(name + "@example.org");
    }

    private Reply keep(String id, String set, String what, boolean onlyNew, String colleagues, String ifMatch)
            throws Exception {
        return orla.put(
                "/api/sendings/" + id,
                "{\"set\": \"" + set + "\", \"what\": \"" + what + "\", \"every\": \"DAY\", \"dayOfWeek\": \"MONDAY\","
                        + " \"dayOfMonth\": 1, \"at\": \"07:00\", \"onlyNew\": " + onlyNew + ", \"colleagues\": ["
                        + colleagues + "]}",
                ifMatch);
    }

    /** What came since the last look, by whom it is for. */
    private List<String> sentAt(String time) throws Exception {
        clock.set(Instant.parse(time));
        server.bean(SendingClock.class).tick();
        MimeMessage[] sent = post.getReceivedMessages();
        List<String> subjects =
                Arrays.stream(sent).map(SendingsTest::line).sorted().toList();
        post.purgeEmailFromAllMailboxes();
        return subjects;
    }

    private static String line(MimeMessage message) {
        try {
            return message.getAllRecipients()[0] + " " + message.getSubject();
        } catch (MessagingException unreadable) {
            throw new AssertionError(unreadable);
        }
    }

    private JsonNode colleague(String name) throws Exception {
        return orla.get("/api/sendings")
                .json()
                .get(0)
                .get("colleagues")
                .valueStream()
                .filter(one -> one.get("name").asString().equals(name))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void a_list_goes_out_at_its_time_once_to_each_of_whom_they_may_see() throws Exception {
        assertThat(keep("daily", "feet", "LIST", false, "\"tam\", \"pennifer\", \"mute\"", "")
                        .status())
                .isEqualTo(200);
        assertThat(sentAt("2026-11-27T12:00:00Z"))
                .as("today's time was before it was asked for")
                .isEmpty();
        assertThat(sentAt("2026-11-28T06:59:00Z")).isEmpty();
        assertThat(sentAt("2026-11-28T07:00:00Z"))
                .containsExactly(
                        "pennifer@example.org Foot check: 1 person to be contacted",
                        "tam@example.org Foot check: 2 people to be contacted");
        assertThat(sentAt("2026-11-28T09:00:00Z")).as("not twice").isEmpty();
        assertThat(colleague("mute").get("problem").asString()).contains("no e-mail address");
        assertThat(colleague("tam").get("problem").asString()).isEmpty();
    }

    @Test
    void what_is_new_is_sent_only_where_there_is_something_and_nothing_twice() throws Exception {
        keep("news", "feet", "NEW", true, "\"tam\", \"orla\"", "");
        assertThat(sentAt("2026-11-28T07:00:00Z")).as("they were on it before").isEmpty();
        People.bringIn(orla, PEOPLE + "s-3,Sendwell,Cleo,1952-02-03,01632 960873,Dr Sorrel,active\n");
        new Desks(orla, "feet").state("s-3");
        assertThat(sentAt("2026-11-29T07:00:00Z"))
                .containsExactly(
                        "orla@example.org Foot check: 1 person new on the list",
                        "tam@example.org Foot check: 1 person new on the list");
        assertThat(sentAt("2026-11-30T07:00:00Z")).isEmpty();

        int port = post.getSmtp().getPort();
        post.stop();
        People.bringIn(orla, PEOPLE + "s-4,Sendwell,Dora,1953-02-03,01632 960874,Dr Sorrel,active\n");
        new Desks(orla, "feet").state("s-4");
        clock.set(Instant.parse("2026-12-01T07:00:00Z"));
        server.bean(SendingClock.class).tick();
        for (String name : List.of("orla", "tam")) {
            assertThat(colleague(name).get("problem").asString()).startsWith("The mail server could not be reached");
        }
        post = post(port);
        assertThat(sentAt("2026-12-01T07:05:00Z")).as("not at once again").isEmpty();
        assertThat(sentAt("2026-12-01T07:10:00Z"))
                .as("what was not sent is told of later")
                .containsExactly(
                        "orla@example.org Foot check: 1 person new on the list",
                        "tam@example.org Foot check: 1 person new on the list");
        assertThat(sentAt("2026-12-02T07:00:00Z")).isEmpty();
    }

    @Test
    void a_mail_holds_no_contact_details_and_no_markup_of_the_records() throws Exception {
        Reply now = orla.post("/api/sendings/now", "{\"set\": \"feet\", \"what\": \"LIST\"}");
        assertThat(now.json().get("to").asString()).isEqualTo("orla@example.org");
        assertThat(now.json().get("text").asString())
                .contains("Sendwell, Ada", "/lists/feet", "To be left out")
                .doesNotContain("01632");
        String whole = GreenMailUtil.getWholeMessage(post.getReceivedMessages()[0]);
        assertThat(whole.substring(whole.indexOf("<!DOCTYPE")))
                .contains("&lt;b&gt;Bo")
                .doesNotContain("<b>Bo", "01632");
        assertThat(whole).contains("Auto-Submitted: auto-generated");

        Reply mute = server.visitor()
                .signIn("mute", "a%20long%20password")
                .post("/api/sendings/now", "{\"set\": \"feet\", \"what\": \"LIST\"}");
        assertThat(mute.json().get("detail").asString()).startsWith("Nothing was sent to you. Has no e-mail");
    }

    @Test
    void the_morning_sheet_goes_to_the_team_where_somebody_comes_in() throws Exception {
        orla.put(
                "/api/lists/feet/prompt",
                "{\"whenOpened\": false, \"whenComingIn\": true, \"toRecordSystems\": false, \"sentence\": \"Feet?\"}",
                "\"0\"");
        keep("sheet", "", "MORNING", true, "\"tam\"", "");
        assertThat(sentAt("2026-11-28T07:00:00Z")).isEmpty();
        People.bringIn(orla, "id,person_id,kind,on,site\ns-e1,s-2,appointment,2026-11-29,Mill Lane\n");
        assertThat(sentAt("2026-11-29T07:00:00Z")).containsExactly("tam@example.org Coming in on 29 Nov 2026: 1");
        assertThat(keep("none", "", "LIST", true, "\"tam\"", "")
                        .json()
                        .get("type")
                        .asString())
                .endsWith("no-list-named");
    }

    @Test
    void what_crosses_another_change_is_told_and_what_is_removed_is_sent_no_more() throws Exception {
        keep("daily", "feet", "LIST", false, "\"tam\"", "");
        assertThat(keep("daily", "feet", "LIST", false, "\"tam\"", "").status()).isEqualTo(412);
        assertThat(keep("daily", "feet", "LIST", false, "\"nobody-here\"", "\"1\"")
                        .status())
                .isEqualTo(422);
        assertThat(keep("daily", "feet", "LIST", false, "\"orla\"", "\"1\"")
                        .json()
                        .get("revision")
                        .asInt())
                .isEqualTo(2);
        assertThat(sentAt("2026-11-28T07:00:00Z")).singleElement().asString().startsWith("orla@");
        assertThat(orla.delete("/api/sendings/daily").status()).isEqualTo(204);
        assertThat(sentAt("2026-11-29T07:00:00Z")).isEmpty();
        assertThat(orla.delete("/api/sendings/daily").status()).isEqualTo(404);
    }
}
