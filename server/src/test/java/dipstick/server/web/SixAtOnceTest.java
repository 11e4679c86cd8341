package dipstick.server.web;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Whatever can be overwritten: of six who change it at once exactly one does, and the others are told. */
class SixAtOnceTest {
    private static final int CLIENTS = 6;

    @TempDir
    private static Path data;

    private static RunningServer server;
    private static Visitor visitor;

    @BeforeAll
    static void begin() throws Exception {
        server = RunningServer.over(data, Clock.systemUTC());
        server.signedIn("six-changed", Role.CALLER);
        server.signedIn("six-owner", Role.COORDINATOR);
        Visitor administrator = server.signedIn("six-administrator", Role.ADMINISTRATOR);
        administrator.put(
                "/api/accounts/six-owner",
                body("account").replace("CALLER", "COORDINATOR\", \"ADMINISTRATOR"),
                "\"1\"");
        visitor = server.visitor().signIn("six-owner", "another%20long%20password");
        People.bringIn(visitor, "id\nsix-1\n");
        for (String id : List.of("six-list", "six-saved", "six-published", "six-retired", "six-put-away")) {
            People.publish(visitor, id, set(id));
        }
        visitor.put(
                "/api/criteria/six-published",
                set("six-published")
                        .replace("[]", "[{\"id\": \"a\", \"test\": {\"field\": \"id\", \"missing\": false}}]"),
                "\"2\"");
        visitor.put(
                "/api/criteria/six-put-away",
                set("six-put-away")
                        .replace("[]", "[{\"id\": \"a\", \"test\": {\"field\": \"id\", \"missing\": false}}]"),
                "\"2\"");
        visitor.put("/api/criteria/six-removed", set("six-removed"), "");
        visitor.put("/api/term-sets/six-terms", body("terms"), "");
        visitor.put("/api/term-sets/six-terms-gone", body("terms"), "");
        visitor.put("/api/letters/Six/pt", body("letter"), "\"0\"");
    }

    @AfterAll
    static void end() {
        server.stop();
    }

    private static String set(String id) {
        return "{\"format\": \"dipstick-criteria/1\", \"id\": \"" + id + "\", \"name\": \"" + id
                + "\", \"include\": []}";
    }

    private static String body(String of) {
        return switch (of) {
            case "account" ->
                "{\"displayName\": \"Six\", \"roles\": [\"CALLER\"], \"provider\": \"\", \"ownPeopleOnly\": false,"
                        + " \"givenListsOnly\": false, \"closed\": false, \"password\": \"another long password\"}";
            case "group" -> "{\"members\": [\"six-changed\"]}";
            case "terms" -> "{\"name\": \"Six\", \"members\": [{\"code\": \"S6\"}], \"leftOut\": []}";
            case "letterhead" ->
                "{\"practice\": \"Six\", \"address\": \"\", \"phone\": \"\", \"email\": \"\", \"signedBy\": \"\","
                        + " \"signature\": \"\"}";
            case "letter" -> "{\"subject\": \"s\", \"body\": \"b\"}";
            case "sharing" -> "{\"owner\": \"six-owner\", \"everybody\": \"VIEW\", \"shares\": []}";
            case "outcomes" ->
                "{\"outcomes\": [{\"id\": \"six-spoke\", \"name\": \"Spoke with them\", \"effect\": \"REACHED\"}]}";
            case "plan" ->
                "{\"every\": \"WEEK\", \"dayOfWeek\": \"MONDAY\", \"dayOfMonth\": 1, \"at\": \"07:30\", \"turned\": {}}";
            case "manner" -> """
                {"plan": {"steps": [{"step": "CALL", "afterDays": 0}], "afterReached": 10, "afterBooked": 3},
                 "hold": {"appointmentDays": 0, "reachedDays": 0, "doNotContact": true, "noWay": true}, "parts": []}""";
            case "views" -> "{\"views\": []}";
            case "publish" -> "{\"note\": \"six\"}";
            case "retire" -> "{\"retired\": true}";
            case "none" -> "";
            default -> set(of);
        };
    }

    @ParameterizedTest(name = "{0} {1}")
    @CsvSource({
        "PUT, /api/accounts/six-changed, account, 1",
        "PUT, /api/groups/six-group, group, 0",
        "PUT, /api/term-sets/six-terms, terms, 1",
        "DELETE, /api/term-sets/six-terms-gone, none, 1",
        "PUT, /api/outcomes, outcomes, 0",
        "PUT, /api/letters/Six/en, letter, 0",
        "DELETE, /api/letters/Six/pt, none, 1",
        "PUT, /api/letterhead, letterhead, 0",
        "PUT, /api/sharing/six-list, sharing, 2",
        "PUT, /api/lists/six-list/reading-plan, plan, 0",
        "PUT, /api/lists/six-list/desk/manner, manner, 0",
        "PUT, /api/lists/six-list/desk/views, views, 0",
        "PUT, /api/criteria/six-saved, six-saved, 2",
        "POST, /api/criteria/six-published/publish, publish, 3",
        "PUT, /api/criteria/six-retired/retired, retire, 2",
        "DELETE, /api/criteria/six-put-away/draft, none, 3",
        "DELETE, /api/criteria/six-removed, none, 1",
    })
    void exactly_one_of_six_wins(String method, String path, String body, int revision) throws Exception {
        assertThat(ask(method, path, body, "").status()).as("without If-Match").isEqualTo(428);
        assertThat(ask(method, path, body, "\"77\"").status())
                .as("a revision that never was")
                .isEqualTo(412);

        List<Reply> replies = atOnce(() -> ask(method, path, body, "\"" + revision + "\""));
        assertThat(replies.stream().filter(one -> one.status() < 300))
                .as(replies.toString())
                .hasSize(1);
        assertThat(replies.stream().filter(one -> one.status() >= 300))
                .allSatisfy(one -> assertThat(one.status()).isIn(412, method.equals("DELETE") ? 404 : 412));
        assertThat(ask(method, path, body, "\"" + revision + "\"").status())
                .as("stale")
                .isIn(412, method.equals("DELETE") ? 404 : 412);
    }

    private static Reply ask(String method, String path, String body, String ifMatch) throws Exception {
        return switch (method) {
            case "PUT" -> visitor.put(path, body(body), ifMatch);
            case "DELETE" -> visitor.delete(path, ifMatch);
            default -> visitor.post(path, body(body), ifMatch);
        };
    }

    private static List<Reply> atOnce(Callable<Reply> change) throws Exception {
        CountDownLatch together = new CountDownLatch(1);
        List<Future<Reply>> waiting = new ArrayList<>();
        List<Reply> replies = new ArrayList<>();
        try (var clients = Executors.newVirtualThreadPerTaskExecutor()) {
            for (int client = 0; client < CLIENTS; client++) {
                waiting.add(clients.submit(() -> {
                    together.await();
                    return change.call();
                }));
            }
            together.countDown();
            for (Future<Reply> one : waiting) {
                replies.add(one.get());
            }
        }
        return replies;
    }
}
