package dipstick.server.outreach.desk;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.SetClock;
import dipstick.server.accounts.Role;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.Evaluators;
import dipstick.server.outreach.Desks;
import dipstick.server.records.Views;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is kept of lists is what the database says, whatever is done, by whomever, in whichever order. */
class DeskBooksTest {
    private static final LocalDate START = LocalDate.of(2026, 3, 2);
    private static final List<String> LISTS = List.of("one", "two", "first-five");
    private static final int PEOPLE = 14;
    private static final int ACTS = 90;

    private final SetClock clock = SetClock.onThe(START);
    private RunningServer server;
    private Visitor orla;
    private final List<Visitor> callers = new ArrayList<>();

    @BeforeEach
    void begin(@TempDir Path folder) throws Exception {
        server = RunningServer.over(folder, clock);
        orla = server.signedIn("orla", Role.COORDINATOR);
        callers.add(server.signedIn("tam", Role.CALLER));
        callers.add(server.signedIn("ines", Role.CALLER));
        StringBuilder people = new StringBuilder("id,family_name,phone,birth_date,site\n");
        for (int i = 0; i < PEOPLE; i++) {
            people.append("b" + i + ",Name" + i + ",1,19" + (40 + i) + "-05-05,Mill\n");
        }
        People.bringIn(orla, people.toString());
        for (String list : LISTS) {
            String more =
                    list.equals("first-five") ? "'order': [{'by': 'birth_date', 'descending': true}], 'top': 5," : "";
            People.publish(
                    orla,
                    list,
                    ("{'format': 'dipstick-criteria/1', 'id': '" + list + "', 'name': '" + list + "', " + more
                                    + " 'include': [{'id': 'all', 'test': {'age': {'from': 18}}}], 'shouldHave': {'rule':"
                                    + " 'any', 'of': [{'id': 'seen', 'test': {'events': {'kinds': ['" + list
                                    + "']}}}]}}")
                            .replace('\'', '"'));
        }
    }

    @AfterEach
    void stop() {
        server.stop();
    }

    /** Unless the records that are shown change just then, what is kept is what is read now. */
    private void assertKeptAsRead() {
        for (String list : LISTS) {
            Views views = server.bean(Views.class);
            long before;
            DeskBook kept;
            DeskBook read;
            do {
                before = views.current().version();
                kept = server.bean(DeskBooks.class).of(list);
                read = server.bean(DeskReader.class)
                        .read(
                                server.bean(CriteriaSets.class).getInForce(list),
                                server.bean(Evaluators.class).asOf(Optional.empty()));
            } while (views.current().version() != before);
            assertThat(kept.places()).as(list).isEqualTo(read.places());
            for (Place place : read.places()) {
                assertThat(kept.inOrder(place)).isEqualTo(read.inOrder(place));
                assertThat(kept.isBeyondTop(place)).isEqualTo(read.isBeyondTop(place));
                assertThat(kept.layout().cells(place.entry()))
                        .isEqualTo(read.layout().cells(place.entry()));
            }
            assertThat(kept.joined()).isEqualTo(read.joined());
        }
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void whatever_is_done(long seed) throws Exception {
        SplittableRandom chance = new SplittableRandom(seed);
        List<String> batches = new ArrayList<>();
        for (int i = 0; i < ACTS; i++) {
            String list = LISTS.get(chance.nextInt(LISTS.size()));
            switch (chance.nextInt(14)) {
                case 0 ->
                    People.bringIn(
                            orla,
                            "id,person_id,kind,on\ne" + i + ",b" + chance.nextInt(PEOPLE) + "," + list + ","
                                    + clock.instant().toString().substring(0, 10) + "\n");
                case 1 ->
                    People.bringIn(
                            orla,
                            "id,phone,status\nb" + chance.nextInt(PEOPLE) + "," + (chance.nextInt(2) == 0 ? "" : "2")
                                    + "," + (chance.nextInt(3) == 0 ? "moved away" : "") + "\n");
                case 2 -> clock.set(START.plusDays(i / 4));
                case 3 -> orla.post("/api/lists/" + list + "/readings", "");
                case 4 -> {
                    int revision = orla.get("/api/lists/" + list + "/desk")
                            .json()
                            .get("mannerRevision")
                            .asInt();
                    assertThat(orla.put(
                                            "/api/lists/" + list + "/desk/manner",
                                            Desks.manner(chance.nextInt(30), ""),
                                            "\"" + revision + "\"")
                                    .status())
                            .isEqualTo(200);
                }
                case 5 -> undo(list, batches, chance);
                default -> batches.add(does(list, chance));
            }
            assertKeptAsRead();
        }
    }

    private void undo(String list, List<String> batches, SplittableRandom chance) throws Exception {
        if (!batches.isEmpty()) {
            callers.get(chance.nextInt(2))
                    .delete("/api/lists/" + list + "/desk/work/" + batches.get(chance.nextInt(batches.size())));
        }
    }

    /** Something by chance about somebody by chance, as they stand; it may well be refused. */
    private String does(String list, SplittableRandom chance) throws Exception {
        String person = "b" + chance.nextInt(PEOPLE);
        String batch = UUID.randomUUID().toString();
        Visitor who = chance.nextInt(5) == 0 ? orla : callers.get(chance.nextInt(2));
        int revision = who.get("/api/lists/" + list + "/desk?person=" + person)
                .json()
                .at("/rows/0/revision")
                .asInt(1);
        String everywhere = String.valueOf(chance.nextBoolean());
        List<String> kinds =
                List.of("TAKE", "LET_GO", "GIVE", "ATTEMPT", "NOTE", "PLAN", "CLOSE", "REOPEN", "EXCUSE", "BRING_BACK");
        String kind = kinds.get(chance.nextInt(kinds.size()));
        List<String> outcomes = List.of("reached", "no-answer", "booked", "declined", "sent-letter");
        new Desks(who, list)
                .does(
                        batch,
                        kind,
                        person,
                        revision,
                        "outcome",
                        "\"" + outcomes.get(chance.nextInt(outcomes.size())) + "\"",
                        "words",
                        "\"some words\"",
                        "step",
                        kind.equals("PLAN") ? "\"CALL\"" : "\"NONE\"",
                        "day",
                        kind.equals("PLAN") || kind.equals("EXCUSE") ? "\"2026-05-05\"" : "\"\"",
                        "to",
                        "\"ines\"",
                        "everywhere",
                        everywhere);
        return batch;
    }

    @Test
    void while_others_look() throws Exception {
        AtomicBoolean over = new AtomicBoolean();
        try (ExecutorService threads = Executors.newVirtualThreadPerTaskExecutor()) {
            List<Future<?>> all = new ArrayList<>();
            for (int i = 0; i < 3; i++) {
                String list = LISTS.get(i);
                all.add(threads.submit(() -> {
                    while (!over.get()) {
                        server.bean(DeskBooks.class).of(list);
                        Thread.sleep(1);
                    }
                    return "";
                }));
            }
            List<Future<?>> working = new ArrayList<>();
            for (int i = 0; i < 4; i++) {
                SplittableRandom chance = new SplittableRandom(i);
                working.add(threads.submit(() -> {
                    for (int act = 0; act < 25; act++) {
                        does(LISTS.get(chance.nextInt(LISTS.size())), chance);
                    }
                    return "";
                }));
            }
            for (Future<?> one : working) {
                one.get();
            }
            over.set(true);
            for (Future<?> one : all) {
                one.get();
            }
        }
        assertKeptAsRead();
    }
}
