package dipstick.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Two callers at the desk of a list of the demo, and a server that is killed while they work. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class DeskIT {
    private static final String LIST = "/lists/kidney-function-on-water-tablets";

    @TempDir
    static Path folder;

    private static RunningApplication application;
    private static Browser tam;
    private static Browser ines;

    /** How many were in progress, and excused, in the demo's past. */
    private static int progress;

    private static int excused;

    @RegisterExtension
    static final PictureOfFailure PICTURE = new PictureOfFailure(() -> tam);

    @BeforeAll
    static void start() throws Exception {
        Path downloads = Files.createDirectories(folder.resolve("downloads"));
        application = startOver();
        tam = new Browser(downloads);
        ines = new Browser(downloads);
        signIn(tam, "Tam Birchall, caller");
        signIn(ines, "Ines Wray, caller");
    }

    private static RunningApplication startOver() throws Exception {
        return RunningApplication.start(
                folder.resolve("data"),
                "--dipstick.demo=true",
                "--dipstick.practice=Otterbrook Family Practice",
                "--dipstick.zone=Europe/London");
    }

    private static void signIn(Browser browser, String who) {
        browser.open(application.address());
        browser.click(who);
        browser.click("Sign in");
        browser.awaitText("nav", "Lists");
        browser.open(application.address() + LIST);
        browser.awaitText(".in-hand", "What came of it");
    }

    @AfterAll
    static void stop() {
        tam.close();
        ines.close();
        application.close();
    }

    private static int inQueue(Browser browser, String queue) {
        return Integer.parseInt(
                browser.text("[data-queue=" + queue + "] strong").replace(",", ""));
    }

    private static void await(Browser browser, String queue, int people) {
        browser.until(_ -> inQueue(browser, queue) == people);
    }

    @Test
    @Order(1)
    void a_caller_takes_calls_and_goes_on_by_keys_alone_and_undoes_what_was_wrong() {
        tam.clickOn("[data-queue=nobodys]");
        int mine = inQueue(tam, "mine");
        progress = inQueue(tam, "progress");
        excused = inQueue(tam, "excused");
        tam.press("+");
        await(tam, "mine", mine + 1);
        tam.press("5");
        tam.awaitText(".told", "No answer");
        tam.awaitText(".log", "No answer");
        await(tam, "progress", progress + 1);
        String first = tam.text(".in-hand h2");
        tam.press("+");
        tam.until(_ -> !tam.text(".in-hand h2").equals(first));
        await(tam, "mine", mine + 2);
        tam.press("0");
        tam.press("rang twice", Keys.ESCAPE);
        tam.press("4");
        tam.awaitText(".log", "Left message: rang twice");
        tam.press("-");
        tam.awaitText(".told", "Undone: Left message");
        tam.awaitText(".log", "undone");
        await(tam, "progress", progress + 1);
        tam.press("e");
        tam.awaitText(".p-dialog", "Excuse");
        assertThat(tam.violations()).isEmpty();
        tam.press("away until spring");
        tam.clickOn(".p-dialog button[type=submit]");
        await(tam, "excused", excused + 1);
        tam.awaitGone(".p-dialog");
        tam.press("?");
        tam.awaitText(".p-dialog", "take the next person who is free");
        tam.press(Keys.ESCAPE);
        tam.awaitGone(".p-dialog");
    }

    @Test
    @Order(2)
    void what_one_does_the_other_sees_and_nobody_is_taken_twice() {
        await(ines, "progress", progress + 1);
        await(ines, "excused", excused + 1);
        int nobodys = inQueue(ines, "nobodys");
        tam.clickOn("[data-queue=nobodys]");
        tam.press("+");
        String taken = tam.text(".in-hand h2");
        await(ines, "nobodys", nobodys - 1);
        ines.type("#find-on-desk", taken);
        ines.awaitText(".desk-table", "Tam Birchall");
        ines.clickOn("[data-row]");
        ines.awaitText(".in-hand", "Tam Birchall has this person in hand");
        ines.clickOn(".in-hand h2");
        ines.press("1");
        ines.awaitText(".p-toast", "Nothing of yours was saved");
        assertThat(ines.text(".log")).doesNotContain("Reached");
    }

    @Test
    @Order(3)
    void the_address_keeps_the_pile_and_who_is_in_hand_and_the_title_says_both() {
        tam.clickOn("[data-queue=nobodys]");
        tam.press(Keys.ARROW_DOWN);
        tam.until(_ -> tam.path().contains("queue=nobodys") && tam.path().contains("person="));
        String person = tam.text(".in-hand h2");
        assertThat(tam.title()).isEqualTo(person + " – Kidney function on water tablets – Lists – Dipstick");
        tam.reload();
        tam.until(_ -> tam.text(".in-hand h2").equals(person));
        assertThat(tam.find("[data-queue=nobodys]").getAttribute("aria-pressed"))
                .isEqualTo("true");
    }

    @Test
    @Order(4)
    void many_are_marked_and_given_at_once() {
        tam.clickOn("[data-queue=nobodys]");
        tam.press("*");
        tam.press(Keys.ARROW_DOWN);
        tam.press("*");
        tam.awaitText(".bulk", "2 marked");
        int mine = inQueue(ines, "mine");
        tam.press("g");
        tam.awaitText(".p-dialog", "Give 2 people to");
        tam.clickOn("[name=give-to][value=ines]");
        tam.clickOn(".p-dialog button[type=submit]");
        await(ines, "mine", mine + 2);
    }

    @Test
    @Order(5)
    void a_telephone_shows_everything_and_so_does_the_dark() {
        // A bar to scroll by takes 15 of them.
        tam.resize(335, 640);
        for (String page : List.of("/today", "/lists", LIST)) {
            tam.open(application.address() + page);
            tam.awaitText("main", "Kidney function on water tablets");
            assertThat(tam.run("const page = document.documentElement; return page.scrollWidth - page.clientWidth"))
                    .as(page)
                    .isEqualTo(0L);
        }
        tam.click("Places");
        tam.awaitText(".strip", "Sign out");
        tam.resize(1280, 800);
        tam.darken(true);
        tam.awaitText(".in-hand", "What came of it");
        assertThat(tam.violations()).isEmpty();
        tam.darken(false);
    }

    private static final class Acknowledged {
        private final List<String> batches = new CopyOnWriteArrayList<>();
        private final List<String> people = new CopyOnWriteArrayList<>();
    }

    @Test
    @Order(6)
    void a_server_killed_while_attempts_are_logged_has_lost_none_that_it_acknowledged() throws Exception {
        Client client = Client.signedIn(application.address(), "ines", "amber-level-3");
        List<JsonNode> rows = new ArrayList<>();
        client.get("/api" + LIST + "/desk?queue=OPEN&size=1000").get("rows").forEach(rows::add);
        Acknowledged acknowledged = new Acknowledged();
        AtomicBoolean killed = new AtomicBoolean();
        Thread logging = Thread.ofPlatform().start(() -> log(client, rows, acknowledged, killed));
        while (acknowledged.batches.size() < 15) {
            TimeUnit.MILLISECONDS.sleep(10);
        }
        killed.set(true);
        application.kill();
        logging.join();

        application = startOver();
        Client again = Client.signedIn(application.address(), "ines", "amber-level-3");
        for (int i = 0; i < acknowledged.batches.size(); i++) {
            String batch = acknowledged.batches.get(i);
            JsonNode acts = again.get("/api" + LIST + "/desk/people/" + acknowledged.people.get(i))
                    .get("acts");
            assertThat(acts.valueStream().map(act -> act.get("batch").asString()))
                    .as("attempt %d of %d", i + 1, acknowledged.batches.size())
                    .containsOnlyOnce(batch);
        }
    }

    private static void log(Client client, List<JsonNode> rows, Acknowledged acknowledged, AtomicBoolean killed) {
        try {
            for (JsonNode row : rows) {
                if (row.has("inHand")) {
                    continue;
                }
                String person = row.at("/person/id").asString();
                String batch = UUID.randomUUID().toString();
                HttpResponse<String> answer = client.post(
                        "/api" + LIST + "/desk/work",
                        "{\"kind\": \"ATTEMPT\", \"batch\": \"" + batch + "\", \"people\": [{\"person\": \"" + person
                                + "\", \"revision\": " + row.get("revision").asInt()
                                + "}], \"outcome\": \"no-answer\", \"words\": \"\", \"step\": \"NONE\", \"day\": \"\","
                                + " \"to\": \"\", \"everywhere\": false}");
                boolean done = answer.statusCode() == 200
                        && JsonMapper.shared()
                                        .readTree(answer.body())
                                        .get("done")
                                        .size()
                                == 1;
                if (done) {
                    acknowledged.people.add(person);
                    acknowledged.batches.add(batch);
                }
            }
        } catch (IOException | InterruptedException gone) {
            assertThat(killed).as("the server went away by itself: %s", gone).isTrue();
        }
    }

    @Test
    @Order(7)
    void a_server_killed_while_records_are_taken_has_all_of_them_or_none() throws Exception {
        Client client = Client.signedIn(application.address(), "orla", "amber-level-1");
        StringBuilder file = new StringBuilder("id,person_id,kind,on\n");
        for (int i = 0; i < 20_000; i++) {
            file.append("killed-").append(i).append(",10001,killed visit,2026-01-01\n");
        }
        String id = JsonMapper.shared()
                .readTree(client.post("/api/deliveries?name=killed.csv", file.toString())
                        .body())
                .get("id")
                .asString();
        while (!client.get("/api/deliveries/" + id).get("stage").asString().equals("TRIED")) {
            TimeUnit.MILLISECONDS.sleep(20);
        }
        client.post("/api/deliveries/" + id + "/take", "");
        TimeUnit.MILLISECONDS.sleep(60);
        application.kill();

        application = startOver();
        Client again = Client.signedIn(application.address(), "orla", "amber-level-1");
        long taken = again.get("/api/lists/kidney-function-on-water-tablets/people/10001")
                .get("records")
                .valueStream()
                .filter(record -> record.get("kind").asString().equals("killed visit"))
                .count();
        assertThat(taken).isIn(0L, 20_000L);
    }
}
