package dipstick.server.records;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.population.Population;
import dipstick.core.records.EventRecord;
import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;

/** Whatever fails between a file and the view of it: the stamp of the records is only on a view that holds them all. */
class RecordsBehindTest {
    private static final int ALWAYS = 1_000_000;
    private static final AtomicInteger NUMBER = new AtomicInteger();

    @TempDir
    private static Path data;

    private static RunningServer server;
    private static Visitor coordinator;

    /** People whom no other test has. */
    private final String one = "one" + NUMBER.incrementAndGet();

    private final String other = "other" + NUMBER.incrementAndGet();

    @BeforeAll
    static void begin() throws Exception {
        server = RunningServer.over(data, Clock.systemUTC());
        coordinator = server.signedIn("cora", Role.COORDINATOR);
    }

    @AfterEach
    void heal() throws Exception {
        server.faults().heal();
        await(() -> server.bean(Views.class).behindSince().isEmpty());
    }

    @AfterAll
    static void end() {
        server.stop();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "RecordsMapper.insertPerson",
                "RecordsMapper.changeStamp",
                "ImportLogMapper.begin",
                "ImportLogMapper.finish",
                "DeliveryMapper.insert",
                "AuditMapper.insert"
            })
    void what_fails_before_the_commit_leaves_nothing_behind(String statement) throws Exception {
        String stamp = stamp();
        int logged = coordinator.get("/api/records").json().get("imports").size();
        server.faults().fail(statement, 1);
        JsonNode failed = bringIn(person(one));
        assertThat(failed.get("stage").asString()).isEqualTo("FAILED");
        assertThat(failed.get("reason").asString()).contains("Nothing of it was taken");
        assertThat(stamp()).isEqualTo(stamp);
        assertThat(coordinator.get("/api/records").json().get("imports")).hasSize(logged);

        assertThat(bringIn(person(other)).get("stage").asString()).isEqualTo("TAKEN");
        assertThat(population().find(one)).isEmpty();
        assertWhole();
        assertThat(bringIn(person(one)).at("/taken/people/added").asInt()).isOne();
        assertWhole();
    }

    @ParameterizedTest
    @ValueSource(strings = {"RecordsMapper.stamp", "RecordsMapper.eventsOf"})
    void a_failure_for_some_and_a_success_for_others_lose_nobody(String statement) throws Exception {
        bringIn(person(one));
        String before = stamp();
        JsonNode tried = People.tried(coordinator, visit(one));
        server.faults().fail(statement, ALWAYS);
        JsonNode taken = People.take(coordinator, tried);
        assertThat(taken.get("stage").asString()).isEqualTo("TAKEN");
        assertThat(taken.get("reason").asString()).contains("tries again by itself");
        assertThat(Instant.parse(standing().path("behindSince").asString())).isBeforeOrEqualTo(Instant.now());
        assertThat(shown().stamp()).isEqualTo(before);
        assertThat(eventsOf(one)).isZero();

        server.faults().heal();
        assertThat(bringIn(person(other)).get("reason").asString()).isEmpty();
        assertThat(eventsOf(one)).isOne();
        assertThat(population().find(other)).isPresent();
        assertThat(standing().has("behindSince")).isFalse();
        assertWhole();
    }

    @ParameterizedTest
    @ValueSource(strings = {"RecordsMapper.allPeople", "RecordsMapper.allEvents"})
    void who_goes_off_file_is_gone_after_a_failure(String statement) throws Exception {
        bringIn("id\n" + one + "\n" + other + "\n");
        JsonNode tried = People.namingEverybody(coordinator, People.tried(coordinator, person(other)));
        server.faults().fail(statement, 1);
        People.take(coordinator, tried);
        await(() -> population().find(one).isEmpty());
        assertThat(population().find(other)).isPresent();
        assertWhole();
    }

    @Test
    void it_is_tried_again_without_anybody_doing_anything() throws Exception {
        bringIn(person(one));
        JsonNode tried = People.tried(coordinator, visit(one));
        server.faults().fail("RecordsMapper.eventsOf", 2);
        People.take(coordinator, tried);
        await(() -> eventsOf(one) == 1);
        assertThat(standing().has("behindSince")).isFalse();
        assertWhole();
    }

    @Test
    void a_new_field_alone_is_shown() throws Exception {
        bringIn(person(one));
        bringIn("id,own column " + one + "\n" + one + ",\n");
        assertThat(population().personFields().find("own column " + one)).isPresent();
        assertWhole();
    }

    @Test
    void a_change_that_is_not_committed_yet_keeps_the_stamp_from_being_taken() throws Exception {
        bringIn("id\n" + one + "\n" + other + "\n");
        var transaction = new TransactionTemplate(server.bean(PlatformTransactionManager.class));
        CountDownLatch written = new CountDownLatch(1);
        CountDownLatch mayCommit = new CountDownLatch(1);
        CompletableFuture<Void> writing = CompletableFuture.runAsync(() -> transaction.executeWithoutResult(_ -> {
            server.bean(OwnRecords.class).write(contact(one));
            written.countDown();
            uninterruptibly(mayCommit);
        }));
        written.await();
        bringIn(visit(other));
        assertThat(eventsOf(other)).isOne();
        assertThat(shown().stamp()).isNotEqualTo(stamp());
        mayCommit.countDown();
        writing.join();
        await(() -> eventsOf(one) == 1);
        assertWhole();
    }

    @Test
    void after_a_restart_everything_that_was_kept_is_shown() throws Exception {
        bringIn(person(one));
        JsonNode tried = People.tried(coordinator, visit(one));
        server.faults().fail("RecordsMapper.eventsOf", ALWAYS);
        People.take(coordinator, tried);
        assertThat(eventsOf(one)).isZero();
        restart();
        assertThat(eventsOf(one)).isOne();
        assertWhole();
    }

    @Test
    void a_snapshot_that_cannot_be_written_is_read_from_the_database() throws Exception {
        Path file = data.resolve("records.snapshot");
        Files.deleteIfExists(file);
        Files.createDirectories(file.resolve("in its place"));
        bringIn(person(one));
        restart();
        assertThat(population().find(one)).isPresent();
        Files.delete(file.resolve("in its place"));
        Files.delete(file);
        bringIn(person(other));
        restart();
        assertThat(population().find(one)).isPresent();
        assertThat(population().find(other)).isPresent();
        assertWhole();
    }

    private static void restart() throws Exception {
        server.stop();
        server = RunningServer.over(data, Clock.systemUTC());
        coordinator = server.visitor().signIn("cora", "a%20long%20password");
    }

    /** The view has the stamp of the database, and is what a reading of everything gives. */
    private static void assertWhole() {
        assertThat(shown().stamp()).isEqualTo(stamp());
        var everything = server.bean(RecordsLoader.class).everything();
        assertThat(population().size()).isEqualTo(everything.population().size());
        assertThat(population().events().size())
                .isEqualTo(everything.population().events().size());
        assertThat(shown().records().waiting()).isEqualTo(everything.waiting());
    }

    private static String person(String id) {
        return "id,family_name\n" + id + ",Marl\n";
    }

    private static String visit(String person) {
        return "person_id,kind\n" + person + ",visit\n";
    }

    private static EventRecord contact(String person) {
        return EventRecord.of(person, "contact")
                .text("id", "contact of " + person)
                .build();
    }

    private static int eventsOf(String person) {
        return (int) population()
                .events()
                .of(population().find(person).orElseThrow())
                .count();
    }

    private static View shown() {
        return server.bean(Views.class).current();
    }

    private static Population population() {
        return shown().population();
    }

    private static String stamp() {
        return server.bean(RecordsLoader.class).stamp();
    }

    private static JsonNode standing() throws Exception {
        return coordinator.get("/api/records/standing").json();
    }

    /** Until it is taken, or failed. */
    private static JsonNode bringIn(String file) throws Exception {
        JsonNode tried = People.tried(coordinator, file);
        return tried.get("stage").asString().equals("FAILED") ? tried : People.take(coordinator, tried);
    }

    private static void uninterruptibly(CountDownLatch latch) {
        try {
            latch.await();
        } catch (InterruptedException ended) {
            throw new IllegalStateException(ended);
        }
    }

    private static void await(BooleanSupplier so) throws InterruptedException {
        Instant end = Instant.now().plus(Duration.ofSeconds(20));
        while (!so.getAsBoolean()) {
            assertThat(Instant.now()).isBefore(end);
            Thread.sleep(20);
        }
    }
}
