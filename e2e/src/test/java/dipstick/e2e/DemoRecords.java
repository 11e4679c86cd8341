package dipstick.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.InstanceOfAssertFactories.LIST;

import java.nio.file.Files;
import java.nio.file.Path;

/** What a visitor of the demo does under Records. */
final class DemoRecords {
    private final Browser browser;
    private final Path folder;

    /** @param folder for files that are brought in */
    DemoRecords(Browser browser, Path folder) {
        this.browser = browser;
        this.folder = folder;
    }

    /** A file of another system. */
    void seenTakenAndTakenBack() throws Exception {
        browser.click("laboratory.csv");
        browser.awaitText("[aria-label='What taking it does']", "Records (result): 83 new, 0 changed, 0 unchanged");
        browser.awaitText("[aria-label='What is wrong']", "is not a date of a day that exists");
        browser.awaitText("[aria-label='First rows']", "negative");
        assertThat(browser.text("[aria-label='Columns']"))
                .contains("person number")
                .contains("Lab No");
        assertThat(browser.violations()).isEmpty();
        browser.view("intake");
        browser.clickOn(".sheet .sides .buttons button");
        browser.awaitText(".sheet", "laboratory.csv is in.");
        browser.click("Done");
        browser.awaitGone(".sheet");
        browser.awaitText("main", "as laboratory");

        browser.click("laboratory.csv");
        browser.awaitText(".sheet", "This very file was taken before");
        browser.awaitText(".sheet", "Known: it is read as laboratory");
        browser.click("Leave it");
        browser.awaitGone(".sheet");

        browser.clickOn("button[aria-label='Take back laboratory.csv']");
        browser.awaitText("[role=dialog]", "that it added go");
        assertThat(browser.violations()).isEmpty();
        browser.click("Take back");
        browser.awaitText("main", "laboratory.csv was taken back.");
        browser.awaitText("main", "taken back");
    }

    /** What is in doubt, and two who are one. */
    void doubtsToldAndTwoJoined() throws Exception {
        browser.click("The state of the records");
        browser.awaitText("main", "How fresh");
        browser.awaitText("main", "no term set");
        assertThat(browser.violations()).isEmpty();
        assertThat(browser.cutOff()).asInstanceOf(LIST).isEmpty();
        browser.view("records-state");

        browser.click("The same person twice");
        browser.awaitText("main", "pairs to decide");
        assertThat(browser.violations()).isEmpty();
        assertThat(browser.cutOff()).asInstanceOf(LIST).isEmpty();
        browser.view("same-person");
        String pair = browser.find(".pair").getAttribute("aria-label");
        browser.clickOn(".pair tfoot button");
        browser.awaitText("[role=status]", "are one person now");
        browser.awaitText("[aria-label=Joined]", pair.split(" and ")[1]);
        assertThat(browser.violations()).isEmpty();
        browser.clickOn("[aria-label=Joined] button");
        browser.awaitText("[role=status]", "are two again");
        browser.find(".pair[aria-label='" + pair + "']");
    }

    /** A file that becomes a roster, and the next one beside it. */
    void rosterAndTheNextBesideIt() throws Exception {
        Path october = Files.writeString(folder.resolve("no letters October.csv"), """
                Person number;Surname;Until;Wishes
                10012;Avenacre;31/12/2026;letters, calls
                10047;Marl;;letters
                10108;Tove;28/02/2027;texts
                10244;Ardle;;letters, texts
                """);
        Path november = Files.writeString(folder.resolve("no letters November.csv"), """
                Person number,Surname,Until,Wishes
                10012,Avenacre,2026-12-31,"calls, letters, visits"
                10047,Marl,2027-06-30,letters
                10244,Ardle,,"letters, texts"
                10390,Vask,,letters
                """);
        browser.click("Files");
        bring("[data-roster-file]", october);
        browser.awaitText("[role=dialog]", "4 rows");
        browser.awaitText("[role=dialog]", "2026-12-31");
        assertThat(browser.violations()).isEmpty();
        browser.click("Share this roster");
        browser.awaitText("[aria-label=Rosters]", "is shared");
        assertThat(browser.violations()).isEmpty();

        browser.click("Compare two files");
        bring("[aria-label='One: a file']", october);
        browser.awaitText("[aria-label=One]", "4 rows");
        bring("[aria-label='The other: a file']", november);
        browser.awaitText(".piles", "2 In both, not the same");
        browser.click("2 In both, not the same");
        browser.awaitText(".wide", "2027-06-30");
        assertThat(browser.violations()).isEmpty();
        assertThat(browser.cutOff()).asInstanceOf(LIST).isEmpty();
        browser.view("compare");
    }

    private void bring(String picker, Path file) {
        browser.await(picker).sendKeys(file.toString());
    }
}
