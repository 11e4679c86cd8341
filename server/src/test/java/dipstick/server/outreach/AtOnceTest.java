package dipstick.server.outreach;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Several colleagues at the same list at the same moment. */
class AtOnceTest {
    private static final int CALLERS = 4;
    private static final int PEOPLE = 25;

    private static Visitor coordinator;
    private static final List<Visitor> CALLING = new ArrayList<>();

    @BeforeAll
    static void begin() throws Exception {
        coordinator = People.coordinator();
        StringBuilder people = new StringBuilder("id,phone\n");
        for (int i = 0; i < PEOPLE; i++) {
            people.append("race-").append(i).append(",1\n");
            people.append("same-time-").append(i).append(",1\n");
        }
        People.bringIn(coordinator, people.toString());
        for (String list : List.of("race", "same-time")) {
            People.publish(
                    coordinator,
                    list,
                    ("{'format': 'dipstick-criteria/1', 'id': '" + list + "', 'name': '" + list
                                    + "', 'include': [{'id':"
                                    + " 'mine', 'test': {'field': 'id', 'startsWith': '" + list + "-'}}], 'shouldHave':"
                                    + " {'rule': 'any', 'of': [{'id': 'seen', 'test': {'events': {'kinds': ['" + list
                                    + " visit']}}}]}}")
                            .replace('\'', '"'));
        }
        for (int i = 0; i < CALLERS; i++) {
            CALLING.add(People.signedIn("racer-" + i, Role.CALLER));
        }
    }

    /** Has everybody do it in the same moment, and gives what came of it for each. */
    private static <T> List<T> atOnce(List<Callable<T>> all) throws Exception {
        CountDownLatch start = new CountDownLatch(1);
        try (ExecutorService threads = Executors.newFixedThreadPool(all.size())) {
            List<Future<T>> running = all.stream()
                    .map(one -> threads.submit(() -> {
                        start.await();
                        return one.call();
                    }))
                    .toList();
            start.countDown();
            List<T> done = new ArrayList<>();
            for (Future<T> one : running) {
                done.add(one.get());
            }
            return done;
        }
    }

    private static String work(String kind, List<String> people, int revision, String outcome) {
        List<String> targets = people.stream()
                .map(person -> "{\"person\": \"" + person + "\", \"revision\": " + revision + "}")
                .toList();
        return "{\"kind\": \"" + kind + "\", \"batch\": \"" + UUID.randomUUID() + "\", \"people\": ["
                + String.join(", ", targets) + "], \"outcome\": \"" + outcome
                + "\", \"words\": \"\", \"step\": \"NONE\", \"day\": \"\", \"to\": \"\", \"everywhere\": false}";
    }

    private static List<String> people(String list) {
        List<String> people = new ArrayList<>();
        for (int i = 0; i < PEOPLE; i++) {
            people.add(list + "-" + i);
        }
        return people;
    }

    @Test
    void each_person_comes_into_one_hand_and_is_tried_once() throws Exception {
        Desks desk = new Desks(coordinator, "race");
        int revision = desk.row("race-0").get("revision").asInt();
        List<Callable<Reply>> takes = new ArrayList<>();
        for (Visitor caller : CALLING) {
            takes.add(() -> caller.post("/api/lists/race/desk/work", work("TAKE", people("race"), revision, "")));
        }
        Map<String, Integer> takenBy = new TreeMap<>();
        List<Reply> replies = atOnce(takes);
        for (int caller = 0; caller < CALLERS; caller++) {
            for (JsonNode person : replies.get(caller).json().get("done")) {
                assertThat(takenBy.put(person.asString(), caller))
                        .as("%s is in two hands", person)
                        .isNull();
            }
        }
        assertThat(takenBy).hasSize(PEOPLE);

        List<Callable<Reply>> attempts = new ArrayList<>();
        for (Visitor caller : CALLING) {
            attempts.add(() ->
                    caller.post("/api/lists/race/desk/work", work("ATTEMPT", people("race"), revision, "no-answer")));
        }
        Set<String> tried = new TreeSet<>();
        List<Reply> logged = atOnce(attempts);
        for (int caller = 0; caller < CALLERS; caller++) {
            for (JsonNode person : logged.get(caller).json().get("done")) {
                assertThat(takenBy.get(person.asString())).isEqualTo(caller);
                assertThat(tried.add(person.asString())).isTrue();
            }
        }
        assertThat(tried).hasSize(PEOPLE);
        for (String person : people("race")) {
            assertThat(desk.log(person))
                    .filteredOn(line -> line.startsWith("ATTEMPT"))
                    .hasSize(1);
        }
    }

    @Test
    void what_is_logged_while_the_list_is_read_is_neither_lost_nor_overwritten() throws Exception {
        Desks desk = new Desks(coordinator, "same-time");
        int revision = desk.row("same-time-0").get("revision").asInt();
        Visitor caller = CALLING.getFirst();
        List<Callable<String>> all = new ArrayList<>();
        all.add(() -> {
            StringBuilder events = new StringBuilder("id,person_id,kind,on\n");
            for (int i = 0; i < PEOPLE; i += 2) {
                events.append("at-once-").append(i).append(",same-time-").append(i);
                events.append(",same-time visit,2026-01-05\n");
            }
            return People.bringIn(coordinator, events.toString()).toString();
        });
        all.add(() -> {
            Set<String> logged = new TreeSet<>();
            for (String person : people("same-time")) {
                JsonNode done = caller.post(
                                "/api/lists/same-time/desk/work",
                                work("ATTEMPT", List.of(person), revision, "left-message"))
                        .json();
                done.get("done").forEach(one -> logged.add(one.asString()));
            }
            return String.join(" ", logged);
        });
        Set<String> acknowledged = new TreeSet<>(List.of(atOnce(all).get(1).split(" ")));
        for (int i = 0; i < PEOPLE; i++) {
            String person = "same-time-" + i;
            boolean came = i % 2 == 0;
            assertThat(desk.state(person))
                    .isEqualTo(came ? "DONE" : acknowledged.contains(person) ? "IN_PROGRESS" : "TO_CONTACT");
            assertThat(desk.log(person).stream()
                            .filter(line -> line.startsWith("ATTEMPT"))
                            .count())
                    .as(person)
                    .isEqualTo(acknowledged.contains(person) ? 1 : 0);
        }
        assertThat(acknowledged).as("nobody else took those who stayed").hasSizeGreaterThanOrEqualTo(PEOPLE / 2);
    }
}
