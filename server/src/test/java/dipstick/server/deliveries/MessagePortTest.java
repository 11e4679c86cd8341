package dipstick.server.deliveries;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import java.io.IOException;
import java.net.Socket;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Messages over MLLP, as another system sends them. */
class MessagePortTest {
    private RunningServer server;
    private Visitor orla;
    private Sent sent;
    private int port;

    @BeforeEach
    void start(@TempDir Path folder) throws Exception {
        server = RunningServer.over(folder, Clock.systemUTC(), "--dipstick.messages.port=-1");
        orla = server.signedIn("orla", Role.COORDINATOR);
        sent = new Sent(orla);
        port = server.bean(MessagePort.class).port();
    }

    @AfterEach
    void stop() {
        server.stop();
    }

    private static String message(String type, String id, String rest) {
        return "MSH|^~\\&|HIS|HARBOUR|DIP|PRACTICE|20260302||" + type + "|" + id + "|P|2.5.1||||||8859/1\r"
                + "PID|1||0012||Grüne^Ada||19610517|F\r" + rest;
    }

    private String answer(Socket to, String message) throws IOException {
        Charset charset = StandardCharsets.ISO_8859_1;
        to.getOutputStream().write(("\u000B" + message + "\u001C\r").getBytes(charset));
        StringBuilder answer = new StringBuilder();
        for (int read = to.getInputStream().read();
                read != 0x1C;
                read = to.getInputStream().read()) {
            answer.append((char) read);
        }
        assertThat(to.getInputStream().read()).isEqualTo('\r');
        return answer.toString();
    }

    @Test
    void a_message_is_answered_when_it_is_kept_and_refused_with_the_reason() throws Exception {
        try (Socket his = new Socket("localhost", port)) {
            assertThat(answer(his, message("ADT^A28", "M1", ""))).contains("MSA|AE|M1|No intake reads messages here.");
            sent.take(sent.file("first.hl7", message("ADT^A28", "M0", "")));

            assertThat(answer(his, message("ADT^A08", "M2", "PD1||||d^Vask^Bo\r")))
                    .startsWith("\u000BMSH|^~\\&|DIP|PRACTICE|HIS|HARBOUR|")
                    .contains("|ACK^A08|AM2|P|2.5.1\rMSA|AA|M2|");
            assertThat(sent.person("0012"))
                    .containsEntry("family name", "Grüne")
                    .containsEntry("provider", "Bo Vask");

            String result = "OBR|1||L1|GLU^Sugar|||%s\rOBX|1|NM|GLU^Sugar||7|mmol/L|||||F\r";
            assertThat(answer(his, message("ORU^R01", "M3", result.formatted("20260231"))))
                    .contains("MSA|AE|M3|“2026-02-31” is not a date"
                            .replace('“', '?')
                            .replace('”', '?'));
            assertThat(answer(his, message("ORU^R01", "M4", result.formatted("20260228"))))
                    .contains("MSA|AA|M4|");
            assertThat(answer(his, message("ADT^A60", "M5", "")))
                    .contains("MSA|AE|M5|Message ADT\\S\\A60, of which nothing");
            assertThat(answer(his, "nothing of the kind")).contains("MSA|AE||");
        }
        assertThat(orla.get("/api/records").json().get("records").asInt()).isOne();
    }

    @Test
    void who_goes_without_waiting_for_the_answer_or_in_the_middle_of_a_message_harms_nobody() throws Exception {
        sent.take(sent.file("first.hl7", message("ADT^A28", "M0", "")));
        try (Socket hasty = new Socket("localhost", port)) {
            hasty.getOutputStream()
                    .write(("\u000B" + message("ADT^A08", "M1", "PD1||||d^Vask^Bo\r") + "\u001C\r")
                            .getBytes(StandardCharsets.ISO_8859_1));
        }
        try (Socket broken = new Socket("localhost", port)) {
            broken.getOutputStream().write("\u000BMSH|^~".getBytes(StandardCharsets.ISO_8859_1));
        }
        try (Socket his = new Socket("localhost", port)) {
            assertThat(answer(his, message("ADT^A08", "M2", ""))).contains("MSA|AA|M2|");
        }
        // Nobody says when that is kept for whose answer nobody waited.
        Instant late = Instant.now().plusSeconds(20);
        while (!sent.person("0012").containsKey("provider") && Instant.now().isBefore(late)) {
            Thread.sleep(50);
        }
        assertThat(sent.person("0012")).as("kept without an answer").containsEntry("provider", "Bo Vask");
    }
}
