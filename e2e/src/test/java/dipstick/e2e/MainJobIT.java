package dipstick.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/**
 * The main job on a new installation: the first account, two files brought in, a criteria set built from nothing with
 * keyboard and mouse, its levels and people, saving, and the list as a file.
 */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class MainJobIT {
    private static final String NAME = "[aria-label='Name of the set']";

    @TempDir
    static Path folder;

    private static RunningApplication application;
    private static Browser browser;
    private static BenchHands hands;

    @RegisterExtension
    static final PictureOfFailure PICTURE = new PictureOfFailure(() -> browser);

    private static ExpectedSet expected;

    @BeforeAll
    static void start() throws Exception {
        Files.createDirectories(folder.resolve("downloads"));
        application = RunningApplication.start(folder.resolve("data"), "--dipstick.zone=Europe/Lisbon");
        browser = new Browser(folder.resolve("downloads"));
        hands = new BenchHands(browser);
        expected = ExpectedSet.read(browser, CommandLine.KIT.resolve("cases/levels-one-after-another.expected.json"));
    }

    @AfterAll
    static void stop() {
        browser.close();
        application.close();
    }

    @Test
    @Order(1)
    void the_first_visit_creates_the_first_account_with_the_printed_code() {
        browser.open(application.address());
        assertThat(browser.violations()).isEmpty();
        assertThat(browser.text("main")).doesNotContain("This is the demo");
        FirstVisit.createAccount(browser, "WRONG", "a long password");
        browser.awaitText("[role=alert]", "The code is not right");

        FirstVisit.createAccount(browser, application.firstAccountCode(), "a long password");
        browser.type("#password", "not the password");
        browser.type("#name", "Mera");
        browser.click("Sign in");
        browser.awaitText("[role=alert]", "not right");
        browser.type("#password", "a long password");
        browser.click("Sign in");

        browser.awaitText("nav", "Criteria");
        browser.awaitText("main", "There is no list yet");
        assertThat(browser.violations()).isEmpty();
        browser.click("Criteria");
        browser.awaitText("main", "No set is saved yet");
    }

    @Test
    @Order(2)
    void people_and_events_are_brought_in() {
        browser.click("Records");
        browser.awaitText("main", "Nothing is on record yet");
        bringIn(CommandLine.KIT.resolve("people.csv"));
        browser.awaitText(".sheet", "Known: it is read as Plain file of people");
        browser.awaitText(".sheet", "People: 453 new, 0 changed, 0 unchanged");
        browser.click("Take it: 453 people");
        browser.awaitText(".sheet", "people.csv is in.");
        browser.click("Done");

        bringIn(CommandLine.KIT.resolve("events.csv"));
        browser.awaitText(".sheet", "Records: 6,060 new");
        browser.awaitText(".sheet", "people who are not on file, kept until they are");
        assertThat(browser.violations()).isEmpty();
        browser.click("Take it: 6,060 records");
        browser.awaitText(".sheet", "events.csv is in.");
        browser.click("Done");

        bringIn(CommandLine.KIT.resolve("people.csv"));
        browser.awaitText(".sheet", "This very file was taken before");
        browser.click("Take it: nothing new");
        browser.awaitText(".sheet", "People: 0 new, 0 changed, 453 unchanged");
        browser.click("Done");
    }

    @Test
    @Order(3)
    void a_file_with_bad_lines_is_shown_before_anything_is_taken() throws IOException {
        Path bad = folder.resolve("bad.csv");
        Files.writeString(bad, "id,family_name,birth_date\nx1,<script>alert(1)</script>,2026-02-31\nx2,=cmd,1990\n");
        bringIn(bad);
        browser.awaitText(".sheet", "What is wrong: 1 row");
        browser.awaitText(".sheet", "People: 1 new");
        browser.awaitText(".sheet table", "“2026-02-31” is not a date");
        browser.click("Leave it");
        browser.awaitGone(".sheet");

        Path noId = folder.resolve("no-id.csv");
        Files.writeString(noId, "name,born\nA,1990\n");
        bringIn(noId);
        browser.awaitText(".sheet", "People: 1 new, 0 changed, 0 unchanged");
        assertThat(browser.violations()).isEmpty();
        browser.click("Leave it");
        browser.awaitGone(".sheet");
        browser.awaitText("main", "453 people");
    }

    private void bringIn(Path file) {
        browser.findAll("#file")
                .getFirst()
                .sendKeys(file.toAbsolutePath().normalize().toString());
    }

    @Test
    @Order(4)
    void a_set_is_built_from_nothing_by_mouse_and_typing() {
        browser.click("Criteria");
        browser.click("New set");
        browser.type(NAME, "Levels one after another");
        hands.setAsOf("31 Aug 2026");

        hands.add("include", "An age");
        browser.awaitText("[data-criterion=age]", "aged 18 or over");

        hands.add("include", "A person's field");
        hands.change("field", "FIELD");
        browser.choose("Field", "wears aid");
        browser.awaitText("[data-criterion=field]", "wears aid is yes");
        hands.closeEditor();

        hands.add("exclude", "A person's field");
        hands.change("field-2", "FIELD");
        browser.choose("Operator", "is one of");
        browser.type(".values input", "moved away");
        browser.awaitText(".p-autocomplete-option", "moved away");
        browser.press(Keys.ENTER);
        browser.awaitText("[data-criterion=field-2]", "status is moved away");
        hands.closeEditor();

        hands.add("exclude", "An age");
        hands.change("age-2", "AGE");
        browser.type("[aria-label='Through age']", "39");
        browser.awaitText("[data-criterion=age-2]", "aged 18 to 39");
        browser.find("[aria-label='From age']").sendKeys(Keys.chord(Keys.CONTROL, "a"), Keys.BACK_SPACE);
        browser.awaitText("[data-criterion=age-2]", "aged 39 or under");
        hands.closeEditor();
        browser.clickOn("[data-criterion=age-2] .grip");
        browser.click("If we can't tell: counts as no");
        browser.awaitText("[data-criterion=age-2]", "can’t tell counts as no");

        hands.add("should have", "Records of events");
        hands.change("records", "SELECTION");
        browser.click("New term set…");
        hands.fillTermSet();
        browser.awaitText("[data-criterion=records]", "had a Hearing check in the last 12 months");
        browser.awaitText("[data-criterion=records]", "(31 Aug 2025 to 31 Aug 2026)");
        assertThat(browser.violations()).isEmpty();
    }

    @Test
    @Order(5)
    void its_levels_and_people_are_the_expected_ones() {
        expected.assertLevels(List.of("age", "field", "field-2", "age-2"), "records");
        browser.clickOn("[data-level=list]");
        expected.awaitPeople("on");
        browser.clickOn("[data-level=check]");
        browser.awaitText(".who .title", "Can’t tell");
        expected.awaitPeople("check");
    }

    @Test
    @Order(6)
    void a_person_opens_to_the_reasons_and_the_time_line() {
        browser.clickOn("[data-level=list]");
        browser.awaitText(".who .title", "On the list");
        browser.clickOn("[data-person]");
        browser.awaitText(".person", "On the list");
        browser.awaitText(".person", "No Hearing check from 31 Aug 2025 to 31 Aug 2026");
        assertThat(browser.has(".person figure svg")).isTrue();
        assertThat(browser.violations()).isEmpty();
        String first = browser.text(".person h2");
        browser.press(Keys.ARROW_DOWN);
        browser.until(page -> !browser.text(".person h2").equals(first));
        browser.click("Back");
    }

    @Test
    @Order(7)
    void changes_can_be_undone_moved_and_switched_off() {
        String all = browser.text("[data-level=list]");
        browser.find("[data-criterion=records] .grip").sendKeys("");
        hands.focus("[data-criterion=records] .grip");
        browser.chord(Keys.ALT, "o");
        browser.awaitText("[data-criterion=records]", "off");
        browser.until(page -> !browser.text("[data-level=list]").equals(all));
        browser.click("Undo");
        browser.awaitText("[data-level=list]", all);

        hands.focus("[data-criterion='field-2'] .grip");
        browser.chord(Keys.ALT, Keys.ARROW_UP);
        browser.find("section[aria-label=Include] [data-criterion='field-2']");
        browser.click("Undo");
        browser.find("section[aria-label=Exclude] [data-criterion='field-2']");
        browser.awaitText("[data-level=list]", all);
    }

    @Test
    @Order(8)
    void it_is_saved_as_a_draft_then_published_and_there_after_a_reload() {
        browser.click("Save");
        browser.awaitText(".head", "draft, never published, Mera Coordinator");
        assertThat(browser.path()).isEqualTo("/criteria/levels-one-after-another");
        browser.clickOn(".head button:last-child");
        browser.awaitText(".p-dialog", "on the list today");
        browser.type(".p-dialog textarea", "Asked for by the practice");
        browser.clickOn(".p-dialog button[type=submit]");
        browser.awaitText(".head", "version 1, Mera Coordinator");
        browser.reload();
        hands.setAsOf("31 Aug 2026");
        browser.awaitText("[data-level=list]", expected.onList());
    }

    @Test
    @Order(9)
    void the_same_set_is_built_by_keyboard_alone() {
        browser.tabBackTo("nav a[href='/criteria']");
        browser.press(Keys.ENTER);
        browser.awaitText("main", "Levels one after another");
        browser.tabTo(".page-head button:last-child");
        browser.press(Keys.ENTER);
        browser.find(NAME);
        browser.tabTo(NAME);
        browser.press("By keyboard");
        browser.tabTo("#as-of");
        browser.chord(Keys.CONTROL, "a");
        browser.press("31 Aug 2026", Keys.ENTER, Keys.ESCAPE, Keys.TAB);

        hands.typeCriterion("1", "aged 18 or over");
        hands.typeCriterion("1", "wears aid is yes");
        hands.typeCriterion("2", "status is moved away");
        hands.typeCriterion("2", "aged 39 or under");
        browser.tabBackTo("[data-criterion=aged-39-or-under] .grip");
        browser.press(Keys.ENTER);
        browser.find("[role=menu]");
        browser.until(page -> {
            browser.press(Keys.ARROW_DOWN);
            return browser.has(".p-menu-item.p-focus")
                    && browser.text(".p-menu-item.p-focus").equals("If we can't tell: counts as no");
        });
        browser.press(Keys.ENTER);
        browser.awaitText("[data-criterion=aged-39-or-under]", "can’t tell counts as no");

        // The term set of the set before is offered while it is typed.
        browser.chord(Keys.ALT, "3");
        browser.press("a hearing ch");
        browser.awaitText("[role=listbox]", "Hearing check");
        browser.until(page -> {
            browser.press(Keys.ARROW_DOWN);
            return browser.has("[role=option][aria-selected=true]")
                    && browser.text("[role=option][aria-selected=true]").startsWith("Hearing check");
        });
        browser.press(Keys.ENTER, "in the last 12 moons");
        browser.awaitText("[role=status] .marked", "moons");
        assertThat(browser.violations()).isEmpty();
        browser.press(Keys.BACK_SPACE, Keys.BACK_SPACE, Keys.BACK_SPACE, Keys.BACK_SPACE, "onths");
        browser.awaitText("[role=status]", "had a Hearing check in the last 12 months (31 Aug 2025 to 31 Aug 2026)");
        browser.press(Keys.ENTER);

        expected.assertLevels(
                List.of("aged-18-or-over", "wears-aid-is-yes", "status-is-moved-away", "aged-39-or-under"),
                "a-hearing-check-in-the-last-12-months");

        browser.chord(Keys.CONTROL, "s");
        browser.awaitText(".head", "draft, never published");
        browser.chord(Keys.CONTROL, Keys.ENTER);
        browser.awaitText(".p-dialog", "on the list today");
        browser.awaitStill();
        browser.tabTo(".p-dialog button[type=submit]");
        browser.press(Keys.ENTER);
        browser.awaitText(".head", "version 1, Mera Coordinator");
        assertThat(browser.path()).isEqualTo("/criteria/by-keyboard");
    }

    @Test
    @Order(10)
    void a_change_that_somebody_else_saved_meanwhile_is_not_overwritten() {
        browser.run("""
                return fetch('/api/criteria/by-keyboard').then(r => r.json()).then(set =>
                  fetch('/api/criteria/by-keyboard', {method: 'PUT',
                    headers: {'Content-Type': 'application/json', 'If-Match': `"${set.revision}"`,
                      'X-XSRF-TOKEN': document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1]},
                    body: JSON.stringify({...set.document, purpose: 'Changed elsewhere'})}))
                """);
        browser.type(NAME, "Levels, changed here");
        browser.click("Save");
        browser.awaitText("[role=alert]", "changed this set meanwhile");
        browser.click("Save mine under another name");
        browser.awaitText(".head", "draft, never published, Mera Coordinator");
        assertThat(browser.path()).isEqualTo("/criteria/levels-changed-here-mine");
    }

    @Test
    @Order(11)
    void a_term_set_is_changed_for_all_sets_that_hold_it() {
        browser.click("Records");
        browser.awaitText("[aria-label='Term sets']", "Levels one after another");
        browser.click("Hearing check");
        browser.awaitText(".p-dialog .effects", "Shared by By keyboard, Levels one after another");
        assertThat(browser.violations()).isEmpty();
        browser.clickOn(".members button[aria-label='Remove keyword audiogram']");
        browser.awaitText(".p-dialog .effects", "By keyboard");
        browser.awaitText(".p-dialog .effects li", "would leave");
        browser.click("Leave as it was");
        browser.awaitGone(".p-dialog");
    }

    @Test
    @Order(12)
    void the_set_is_shown_and_pasted_as_text() {
        browser.click("Criteria");
        browser.click("By keyboard");
        browser.awaitText("[data-level=list]", "on the list");
        browser.click("What can be done with this set");
        browser.click("As text");
        browser.until(page -> hands.textOfSet().contains("- had a Hearing check in the last 12 months"));
        assertThat(browser.violations()).isEmpty();
        hands.setText(hands.textOfSet().replace("aged 18 or over", "aged eighteen or over"));
        browser.click("Use this text");
        browser.awaitText(".mistakes", "“eighteen” does not fit here");
        hands.setText(hands.textOfSet().replace("eighteen", "21"));
        browser.click("Use this text");
        browser.awaitText("[data-criterion=aged-18-or-over]", "aged 21 or over");
        browser.click("Undo");
        browser.awaitText("[data-criterion=aged-18-or-over]", "aged 18 or over");
    }

    @Test
    @Order(13)
    void the_downloaded_list_is_what_the_command_line_prints() throws Exception {
        browser.click("Lists");
        browser.awaitText("main", "Levels one after another");
        assertThat(browser.violations()).isEmpty();
        browser.click("Levels one after another");
        browser.awaitText(".desk-table", "Placewell");
        assertThat(browser.violations()).isEmpty();
        browser.click("As of another day");
        browser.awaitText(".p-datatable", "Placewell");
        assertThat(browser.violations()).isEmpty();
        WebElement day = browser.find(".as-of input");
        day.sendKeys(Keys.chord(Keys.CONTROL, "a"), "31 Aug 2026", Keys.ENTER, Keys.ESCAPE, Keys.TAB);
        browser.awaitText(".page-head", expected.onList());
        browser.click("Download CSV");

        Path file = folder.resolve("downloads/list-levels-one-after-another-2026-08-31.csv");
        browser.until(page -> Files.exists(file));
        List<String> downloaded = Files.readString(file)
                .lines()
                .map(line -> line.replace("\uFEFF", "").split(",", -1))
                .map(cells -> Stream.of(cells).limit(4).toList())
                .map(cells -> String.join(",", cells))
                .toList();
        List<String> printed = CommandLine.evaluated("levels-one-after-another.json");
        assertThat(downloaded.getFirst()).isEqualTo("id,state,due_on,band");
        assertThat(downloaded.subList(1, downloaded.size()))
                .as("in the order of the set, and no line besides")
                .containsExactlyInAnyOrderElementsOf(printed.subList(1, printed.size()));
    }

    @Test
    @Order(14)
    void signing_out_closes_every_place() {
        browser.click("Sign out");
        browser.find("#password");
        browser.open(application.address() + "/criteria");
        browser.find("#password");
        assertThat(application.output()).noneMatch(line -> line.contains("Exception"));
    }
}
