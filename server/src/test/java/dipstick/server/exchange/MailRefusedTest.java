package dipstick.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.ServerSetup;
import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import dipstick.server.outreach.Desks;
import java.nio.file.Path;
import java.time.Clock;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** E-mail through a server that is set up, which takes some, refuses some, and goes away. */
class MailRefusedTest {
    @TempDir
    Path folder;

    private GreenMail mailServer;
    private RunningServer server;
    private Visitor orla;

    @BeforeEach
    void start() throws Exception {
        mailServer = new GreenMail(new ServerSetup(0, "127.0.0.1", ServerSetup.PROTOCOL_SMTP));
        mailServer.start();
        server = RunningServer.over(
                folder,
                Clock.systemUTC(),
                "--spring.mail.host=127.0.0.1",
                "--spring.mail.port=" + mailServer.getSmtp().getPort());
        orla = server.signedIn("orla", Role.COORDINATOR);
        People.bringIn(orla, """
                id,family_name,email,do_not_contact,phone
                m1,Marl,marl@example.org,,
                m2,Vask,not an address,,
                m3,Tove,,,01632 960001
                m4,Wend,wend@example.org,yes,
                m5,Ardle,ardle@example.org,,
                """);
        People.publish(orla, "mailed", """
                {"format": "dipstick-criteria/1", "id": "mailed", "name": "Mailed", "include": []}""");
    }

    @AfterEach
    void stop() {
        server.stop();
        mailServer.stop();
    }

    private JsonNode send(String... people) throws Exception {
        return orla.post(
                        "/api/lists/mailed/out/mail",
                        "{\"people\": [\"" + String.join("\", \"", people)
                                + "\"], \"template\": \"Recall\", \"reason\": \"recall\"}")
                .json();
    }

    @Test
    void who_cannot_be_written_to_is_named_and_what_was_sent_is_an_attempt_at_once() throws Exception {
        JsonNode mailed = send("m1", "m2", "m3", "m4");
        assertThat(mailed.get("sent").toString()).isEqualTo("[\"m1\"]");
        assertThat(mailed.get("notLogged")).isEmpty();
        assertThat(mailed.get("leftOut")
                        .valueStream()
                        .map(one -> one.get("name").asString() + ": "
                                + one.get("why").asString()))
                .containsExactly(
                        "Tove: No e-mail address is on record.",
                        "Wend: Asked not to be contacted.",
                        "Vask: The e-mail address cannot be written to.");
        assertThat(mailServer.getReceivedMessages()).hasSize(1);
        Desks desk = new Desks(orla, "mailed");
        assertThat(desk.log("m1")).first().isEqualTo("ATTEMPT Sent e-mail");
        assertThat(desk.state("m1")).isEqualTo("IN_PROGRESS");
        assertThat(desk.log("m2")).noneMatch(line -> line.startsWith("ATTEMPT"));
    }

    @Test
    void a_server_that_is_gone_is_told_and_nobody_is_said_to_be_written_to() throws Exception {
        mailServer.stop();
        JsonNode mailed = send("m1", "m5");
        assertThat(mailed.get("sent")).isEmpty();
        assertThat(mailed.get("leftOut").valueStream().map(one -> one.get("why").asString()))
                .containsExactly(MailSending.UNREACHABLE, MailSending.UNREACHABLE);
        assertThat(new Desks(orla, "mailed").state("m1")).isEqualTo("TO_CONTACT");
    }
}
