package dipstick.server.web;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is larger, longer or slower than anything that a page sends. */
class LimitsTest {
    @Test
    void a_body_that_is_too_large_is_refused_whether_or_not_it_says_so() throws Exception {
        Visitor coordinator = People.coordinator();
        String large = "{\"document\": \"" + "x".repeat(BodyLimit.LARGEST) + "\"}";
        Reply refused = coordinator.post("/api/bench", large);
        assertThat(refused.status()).isEqualTo(413);
        assertThat(refused.type()).isEqualTo("urn:dipstick:too-large");
        assertThat(coordinator.sendWithoutLength("/api/bench", large).type()).isEqualTo("urn:dipstick:too-large");
    }

    @Test
    void a_set_of_more_criteria_than_anybody_writes_is_refused() throws Exception {
        String criteria = IntStream.range(0, 501)
                .mapToObj(i -> "{\"id\": \"c" + i + "\", \"test\": {\"age\": {\"from\": " + i + "}}}")
                .collect(Collectors.joining(","));
        Reply refused = People.coordinator()
                .post(
                        "/api/bench",
                        "{\"document\": {\"format\": \"dipstick-criteria/1\", \"id\": \"many\", \"name\": \"Many\","
                                + " \"include\": [" + criteria + "]}, \"settings\": {}}");
        assertThat(refused.type()).isEqualTo("urn:dipstick:too-many-criteria");
    }

    @Test
    void what_is_only_looked_at_and_takes_too_long_is_stopped_and_what_changes_something_is_done(@TempDir Path data)
            throws Exception {
        RunningServer hasty = RunningServer.over(data, Clock.systemUTC(), "--dipstick.longest-answer=0s");
        Visitor coordinator = hasty.signedIn("orla", Role.COORDINATOR);
        People.bringIn(coordinator, "id,family_name\np1,Marl\n");
        Reply refused = coordinator.post("/api/bench", "{\"document\": " + AnyValue.DOCUMENT + ", \"settings\": {}}");
        assertThat(refused.status()).isEqualTo(503);
        assertThat(refused.type()).isEqualTo("urn:dipstick:took-too-long");
        People.publish(coordinator, "known", AnyValue.DOCUMENT);
        assertThat(coordinator.get("/api/lists/known/readings").text()).contains("\"onList\"");
        hasty.stop();
    }

    @Test
    void what_its_browser_gave_up_is_stopped_and_nobody_else_s(@TempDir Path data) throws Exception {
        RunningServer server = RunningServer.over(data, Clock.systemUTC());
        Visitor coordinator = server.signedIn("orla", Role.COORDINATOR);
        Visitor another = server.signedIn("other", Role.COORDINATOR);
        String people = IntStream.range(0, 20_000)
                .mapToObj(i -> "given-up-" + i + ",1950-01-01")
                .collect(Collectors.joining("\n", "id,birth_date\n", "\n"));
        People.bringIn(coordinator, people);
        try (ExecutorService threads = Executors.newVirtualThreadPerTaskExecutor()) {
            Set<String> types = new HashSet<>();
            for (int i = 0; i < 20 && !types.contains("urn:dipstick:took-too-long"); i++) {
                String body = many(i);
                Future<Reply> asked = threads.submit(() -> coordinator.ask("/api/bench", body, "q"));
                while (!asked.isDone()) {
                    assertThat(coordinator.post("/api/given-up/q", "").status()).isEqualTo(204);
                }
                types.add(asked.get().status() == 503 ? asked.get().type() : "");
            }
            assertThat(types).contains("urn:dipstick:took-too-long");

            String body = many(100);
            Future<Reply> theirs = threads.submit(() -> another.ask("/api/bench", body, "q"));
            while (!theirs.isDone()) {
                coordinator.post("/api/given-up/q", "");
            }
            assertThat(theirs.get().status()).isEqualTo(200);
        } finally {
            server.stop();
        }
    }

    /** A set of criteria of which none was asked before. */
    private static String many(int different) {
        String criteria = IntStream.range(0, 400)
                .mapToObj(i -> "{\"id\": \"c" + i + "\", \"test\": {\"events\": {\"kinds\": [\"k" + i % 7
                        + "\"], \"window\": {\"last\": \"P" + (1 + i + 400 * different) + "D\"}}}}")
                .collect(Collectors.joining(","));
        return "{\"document\": {\"format\": \"dipstick-criteria/1\", \"id\": \"many\", \"name\": \"Many\","
                + " \"exclude\": [" + criteria + "]}, \"settings\": {}}";
    }

    @Test
    void hundreds_of_half_sent_requests_hold_nobody_up() throws Exception {
        URI address = RunningServer.shared().address();
        List<Socket> half = new ArrayList<>();
        try {
            for (int i = 0; i < 300; i++) {
                Socket socket = new Socket(address.getHost(), address.getPort());
                half.add(socket);
                socket.getOutputStream()
                        .write("POST /api/bench HTTP/1.1\r\nHost: localhost\r\nContent-Length: 1000\r\n\r\n{\"docu"
                                .getBytes(StandardCharsets.US_ASCII));
            }
            assertThat(RunningServer.shared().visitor().get("/api/session").status())
                    .isEqualTo(200);
            assertThat(People.caller().get("/api/lists").status()).isEqualTo(200);
        } finally {
            for (Socket socket : half) {
                socket.close();
            }
        }
    }

    @Test
    void what_does_not_fit_is_named_also_where_the_address_has_rules_of_its_own() throws Exception {
        Visitor administrator = People.signedIn(Role.ADMINISTRATOR);
        String change = "{\"displayName\": \"\", \"roles\": [\"CALLER\"], \"provider\": \"\", \"ownPeopleOnly\": false,"
                + " \"givenListsOnly\": false, \"closed\": false}";
        Reply refused = administrator.put("/api/accounts/somebody", change, "\"0\"");
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.text()).contains("\"/displayName\"", "\"/password\"");
        assertThat(administrator
                        .put("/api/accounts/" + "n".repeat(61), change, "\"0\"")
                        .text())
                .contains("\"/name\"");
    }

    @Test
    void the_headers_leave_nothing_open() throws Exception {
        assertThat(RunningServer.shared().visitor().headers("/"))
                .containsEntry("referrer-policy", "same-origin")
                .containsEntry("cross-origin-opener-policy", "same-origin")
                .containsEntry("cross-origin-resource-policy", "same-origin")
                .containsEntry("x-content-type-options", "nosniff")
                .containsKeys("permissions-policy", "content-security-policy");
    }

    @Test
    void what_is_for_programs_and_not_there_is_no_page() throws Exception {
        for (String path : List.of("/actuator", "/actuator/env", "/control/backup", "/api/nothing", "/v3/nothing")) {
            Reply reply = People.coordinator().get(path);
            assertThat(reply.status()).as(path).isEqualTo(404);
            assertThat(reply.type()).as(path).startsWith("urn:dipstick:");
        }
    }
}
