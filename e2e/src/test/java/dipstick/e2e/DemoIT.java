package dipstick.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.InstanceOfAssertFactories.LIST;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.openqa.selenium.Keys;

/**
 * The demo as a visitor sees it. With {@code -Dscreenshots=true} the pictures of its main views are kept in
 * docs/screenshots.
 */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class DemoIT {
    @TempDir
    static Path folder;

    private static RunningApplication application;
    private static Browser browser;

    @RegisterExtension
    static final PictureOfFailure PICTURE = new PictureOfFailure(() -> browser);

    @BeforeAll
    static void start() throws Exception {
        Path downloads = Files.createDirectories(folder.resolve("downloads"));
        application = RunningApplication.start(
                folder.resolve("data"),
                "--dipstick.demo=true",
                "--dipstick.practice=Otterbrook Family Practice",
                "--dipstick.zone=Europe/London");
        browser = new Browser(downloads);
    }

    @AfterAll
    static void stop() {
        browser.close();
        application.close();
    }

    @Test
    @Order(1)
    void the_sign_in_page_shows_the_demo_accounts() throws Exception {
        browser.open(application.address());
        browser.awaitText("main", "Orla Fenwick, records coordinator");
        assertThat(browser.violations()).isEmpty();
        browser.view("sign-in");
        browser.click("Orla Fenwick, records coordinator");
        browser.click("Sign in");
        browser.awaitText("nav", "Criteria");
        browser.awaitText("main", "My follow-ups");
        browser.awaitText("main", "Hearing check due");
        assertThat(browser.violations()).isEmpty();
        browser.view("today");
        walk();
    }

    /** From place to place; on the bench, who is on the list stays in sight beneath it. */
    private static void walk() {
        browser.click("Take a walk in five steps");
        browser.awaitText(".walk", "1 of 5");
        browser.click("Next step");
        browser.awaitText(".sheet footer", "on the list");
        // Nothing was changed, so there is nothing that it was before.
        assertThat(browser.text(".sheet footer")).doesNotContain("was");
        assertThat(browser.run(
                        "return document.querySelector('.sheet footer').getBoundingClientRect().bottom <= innerHeight"))
                .isEqualTo(true);
        assertThat(browser.violations()).isEmpty();
        for (int step = 3; step <= 5; step++) {
            browser.click("Next step");
            browser.awaitText(".walk", step + " of 5");
        }
        browser.click("That was it");
        browser.awaitGone(".walk");
    }

    @Test
    @Order(2)
    void every_saved_set_shows_something_and_not_everybody() {
        browser.click("Lists");
        browser.awaitText("main", "Hearing check due");
        List<String> counts = browser.findAll(".rack .on").stream()
                .map(count -> count.getText().replace(",", ""))
                .toList();
        assertThat(counts)
                .hasSize(6)
                .allSatisfy(count -> assertThat(Integer.parseInt(count)).isBetween(5, 1000));
        assertThat(browser.violations()).isEmpty();
        browser.click("Help");
        browser.awaitText(".p-dialog", "How to read Lists");
        assertThat(browser.violations()).isEmpty();
        browser.press(Keys.ESCAPE);
        browser.awaitGone(".p-dialog");
    }

    @Test
    @Order(3)
    void the_views_stand_without_a_serious_fault() throws Exception {
        browser.view("lists");
        browser.click("Kidney function on water tablets");
        browser.awaitText(".in-hand", "What came of it");
        assertThat(browser.findAll("[data-row]").size()).isGreaterThanOrEqualTo(18);
        browser.view("desk");
        assertThat(browser.violations()).isEmpty();
        browser.click("All reasons and the time line");
        browser.awaitText(".in-hand .person", "Time line");
        assertThat(browser.violations()).isEmpty();
        browser.click("As of another day");
        browser.awaitText(".p-datatable", "Days overdue");
        browser.find(".p-datatable td .word");
        assertThat(browser.findAll(".p-datatable tbody tr").size()).isGreaterThanOrEqualTo(18);
        browser.view("list");
        assertThat(browser.violations()).isEmpty();
        browser.clickOn(".p-datatable td .word");
        browser.awaitText(".person", "Time line");
        assertThat(browser.violations()).isEmpty();
        browser.click("Close");
        browser.awaitGone(".p-dialog");

        browser.click("Criteria");
        browser.awaitText("main", "Lithium monitoring due");
        assertThat(browser.violations()).isEmpty();
        browser.view("criteria");
        browser.click("Lithium monitoring due");
        browser.awaitText("[data-level=list]", "on the list");
        browser.clickOn("[data-person]");
        browser.awaitText(".person", "Time line");
        browser.clickOn("[data-criterion=level] [data-control=WINDOW]");
        browser.find(".p-popover .slot");
        assertThat(browser.violations()).isEmpty();
        browser.view("bench");
        browser.press(Keys.ESCAPE);

        browser.click("People");
        browser.type("#find-people", "elsba");
        browser.awaitText("[aria-label='Find people']", "Elsba");
        browser.press(Keys.ARROW_DOWN);
        browser.press(Keys.ENTER);
        browser.awaitText("[aria-label='Where they stand']", "Time line");
        assertThat(browser.findAll(".set")).hasSize(6);
        assertThat(browser.violations()).isEmpty();
        browser.view("people");

        browser.click("Records");
        browser.awaitText("main", "6,014 people");
        assertThat(browser.violations()).isEmpty();
        browser.view("records");
        DemoRecords records = new DemoRecords(browser, folder);
        records.seenTakenAndTakenBack();
        records.doubtsToldAndTwoJoined();
        records.rosterAndTheNextBesideIt();

        browser.click("Practice");
        browser.awaitText("main", "By provider");
        assertThat(browser.violations()).isEmpty();
        browser.view("levels");
        browser.click("Region");
        browser.awaitText("main", "The region has not answered for this list.");
        assertThat(browser.violations()).isEmpty();
        browser.reload();
        browser.awaitText("main", "The region has not answered for this list.");
        browser.click("Workload");
        browser.awaitText("main", "Tried in 7 days");
        assertThat(browser.violations()).isEmpty();
        browser.view("workload");
        browser.click("Letterhead");
        browser.awaitText("main", "Picture of a signature");
        assertThat(browser.violations()).isEmpty();
        browser.click("Accounts");
        browser.awaitText("main", "Dr Pennifer");
        assertThat(browser.violations()).isEmpty();
        browser.click("Audit log");
        browser.awaitText("main", "Signed in");
        assertThat(browser.violations()).isEmpty();
        browser.view("audit");
    }

    @Test
    @Order(4)
    void a_set_is_looked_at_changed_and_left_as_it_was_at_the_bench() {
        DemoBench bench = new DemoBench(browser);
        bench.asOfDateGoesAlongTheRibbonAndTheVeilHidesNames();
        bench.valueIsLetBeTurnedAndTheSetStaysAsItIs();
        bench.whatIsNotSavedIsBackAfterAReload();
        bench.oldVersionIsLookedAtAndNotChanged();
    }

    @Test
    @Order(8)
    void a_list_is_read_and_the_reading_kept() throws Exception {
        browser.click("Lists");
        browser.click("Hearing check due");
        browser.awaitText(".in-hand", "What came of it");
        browser.click("Readings");
        browser.click("Take a reading now");
        browser.awaitText(".reading", "on the list");
        browser.awaitText(".changes", "compared with");
        browser.clickOn(".changes summary");
        browser.awaitText(".changes", "Everybody");
        assertThat(browser.violations()).isEmpty();
        browser.view("readings");
        browser.press(Keys.ESCAPE);
        browser.awaitGone(".p-dialog");
        browser.click("How it is worked");
        browser.awaitText(".p-dialog", "Contact plan");
        assertThat(browser.violations()).isEmpty();
        browser.press(Keys.ESCAPE);
        browser.awaitGone(".p-dialog");
        browser.click("Take out");
        browser.awaitText(".p-dialog", "Columns");
        assertThat(browser.violations()).isEmpty();
        // The set shows the telephone.
        browser.type("#out-reason", "to call them");
        browser.clickOn(".p-dialog button[type=submit]");
        browser.awaitText(".p-dialog", "with your downloads");
        browser.run("const format = document.getElementById('out-format'); format.value = 'LETTERS';"
                + " format.dispatchEvent(new Event('change'))");
        browser.awaitText(".p-dialog", " in en");
        assertThat(browser.violations()).isEmpty();
        browser.view("take-out");
        browser.press(Keys.ESCAPE);
        browser.awaitGone(".p-dialog");
        browser.click("Share");
        browser.awaitText(".p-dialog", "Everybody may");
        assertThat(browser.violations()).isEmpty();
        browser.press(Keys.ESCAPE);
        browser.awaitGone(".p-dialog");
    }

    @ParameterizedTest
    @ValueSource(ints = {1024, 1280, 1920})
    @Order(9)
    void nothing_is_cut_off_at_any_width(int width) throws Exception {
        browser.resize(width, 800);
        browser.click("Criteria");
        browser.awaitText("main", "Lithium monitoring due");
        assertThat(browser.cutOff()).asInstanceOf(LIST).isEmpty();
        browser.click("Lithium monitoring due");
        browser.awaitText("[data-level=list]", "on the list");
        assertThat(browser.cutOff()).asInstanceOf(LIST).isEmpty();
        browser.clickOn("[data-person]");
        browser.awaitText(".person", "Time line");
        assertThat(browser.cutOff()).asInstanceOf(LIST).isEmpty();
        browser.clickOn("[data-criterion=level] [data-control=SELECTION]");
        browser.find(".p-popover .slot");
        assertThat(browser.cutOff()).asInstanceOf(LIST).isEmpty();
        browser.click("Edit lithium level");
        browser.awaitText(".p-dialog", "Shared by");
        assertThat(browser.cutOff()).asInstanceOf(LIST).isEmpty();
        assertThat(browser.violations()).isEmpty();
        browser.click("Leave as it was");
        browser.awaitGone(".p-dialog");
        // What opened it is gone by then.
        browser.until(_ -> browser.has("[data-criterion=level] [data-control=SELECTION]:focus"));
        browser.resize(1280, 800);
    }

    @Test
    @Order(10)
    void a_caller_has_the_lists_and_no_other_place() {
        browser.click("Sign out");
        browser.click("Tam Birchall, caller");
        browser.click("Sign in");
        browser.awaitText("nav", "Lists");
        assertThat(browser.text("nav")).doesNotContain("Criteria").doesNotContain("Records");
        browser.open(application.address() + "/records");
        browser.awaitText("main", "Hearing check due");
        assertThat(browser.path()).isEqualTo("/today");
    }

    @Test
    @Order(11)
    void whoever_rings_is_found_with_one_key_and_what_came_of_it_is_logged_there() throws Exception {
        String due = "[aria-label='What is due']";
        browser.press(Keys.F8);
        browser.type("#who-rings", toBeToldOf("name"));
        browser.awaitText(".p-dialog", "found");
        assertThat(browser.violations()).isEmpty();
        browser.press(Keys.ENTER);
        browser.awaitText(due, "Your kidneys want a look");
        assertThat(browser.violations()).isEmpty();
        browser.view("who-is-it");
        browser.type("[aria-label='Note']", "rang by herself");
        browser.click("Left message");
        browser.awaitText(due, "Logged on");
        browser.press(Keys.ESCAPE);
        browser.awaitGone(".p-dialog");
        browser.click("Sheet for the morning");
        browser.awaitText("main", "Coming in on");
        assertThat(browser.violations()).isEmpty();
        browser.click("Send");
        browser.click("its morning sheet");
        browser.awaitText(".p-dialog", "Sent to tam@example.org");
        assertThat(browser.violations()).isEmpty();
        browser.press(Keys.ESCAPE);
        browser.awaitGone(".p-dialog");
    }

    @Test
    @Order(12)
    void a_record_system_is_told_and_a_template_goes_on_the_bench() {
        browser.click("Sign out");
        browser.click("Orla Fenwick, records coordinator");
        browser.click("Sign in");
        browser.click("Practice");
        browser.click("Record systems");
        browser.type("[aria-label='Number of a person']", toBeToldOf("id"));
        browser.click("Open the chart");
        browser.awaitText(".stand-in", "Your kidneys want a look");
        assertThat(browser.violations()).isEmpty();
        browser.click("Not now");
        browser.awaitText(".stand-in", "Told back: Not now.");

        browser.click("Lists");
        browser.click("Kidney function on water tablets");
        browser.click("Prompts");
        browser.awaitText(".p-dialog", "What to say");
        assertThat(browser.violations()).isEmpty();
        browser.press(Keys.ESCAPE);
        browser.awaitGone(".p-dialog");

        browser.click("Criteria");
        browser.click("From a template");
        browser.click("Asthma review");
        browser.awaitText(".p-dialog", "Which problems are asthma?");
        assertThat(browser.violations()).isEmpty();
        browser.click("Put it on the bench");
        browser.awaitText("[data-level=list]", "on the list");
    }

    /** Of somebody on the kidney list who is free and not held back: the first such one. */
    private static String toBeToldOf(String field) {
        return String.valueOf(browser.run(
                "const asked = new XMLHttpRequest();"
                        + " asked.open('GET', '/api/lists/kidney-function-on-water-tablets/desk', false); asked.send();"
                        + " return JSON.parse(asked.responseText).rows.find((row) => row.standing === 'ON'"
                        + " && row.state === 'TO_CONTACT' && !row.heldBack && !row.excused && !row.inHand)"
                        + ".person[arguments[0]]",
                field));
    }

    @Test
    @Order(99)
    void nothing_that_the_pages_do_is_against_their_own_policy() {
        assertThat(browser.refusedByPolicy()).isEmpty();
    }
}
