package dipstick.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.openqa.selenium.Keys;

/** What is done with the demo's hearing checks at the bench, and leaves them as they were. */
final class DemoBench {
    private static final String NAME = "[aria-label='Name of the set']";

    private final Browser browser;

    DemoBench(Browser browser) {
        this.browser = browser;
    }

    void asOfDateGoesAlongTheRibbonAndTheVeilHidesNames() {
        browser.click("Criteria");
        browser.click("Hearing check due");
        browser.awaitText("[data-level=list]", "on the list");
        String today = asOf();
        browser.clickOn(".ribbon");
        browser.press(Keys.PAGE_UP);
        browser.press(Keys.ARROW_RIGHT);
        assertThat(asOf()).isNotEqualTo(today);
        browser.press(Keys.HOME);
        assertThat(asOf()).isEqualTo(today);

        String name = browser.text("[data-person] .name");
        assertThat(isInPage(name)).isTrue();
        browser.press(Keys.F9);
        browser.awaitText(".strip", "Lift the veil");
        assertThat(isInPage(name)).isFalse();
        assertThat(browser.violations()).isEmpty();
        browser.press(Keys.F9);
        browser.awaitText("[data-person] .name", name);
    }

    void valueIsLetBeTurnedAndTheSetStaysAsItIs() {
        String onList = browser.text("[data-level=list]");
        browser.clickOn("[aria-label='Should have'] [data-control=WINDOW]");
        browser.clickOn("[aria-label='How long: let this be turned by a dial']");
        browser.awaitText(".dials", "How long");
        assertThat(browser.text("[data-level=list]")).isEqualTo(onList);
        browser.press(Keys.ESCAPE);
        browser.awaitGone(".p-popover");
        browser.type(".dials input", "1");
        browser.awaitText("[aria-label='Should have']", "in the last 1 month");
        assertThat(browser.text("[data-level=list]")).isNotEqualTo(onList);
        assertThat(browser.violations()).isEmpty();
        browser.clickOn("[aria-label='How long: back to P12M']");
        browser.awaitText("[data-level=list]", onList);
    }

    void whatIsNotSavedIsBackAfterAReload() {
        browser.type(NAME, "Hearing check, changed");
        browser.reload();
        browser.awaitText(".notice", "that were not saved are back");
        assertThat(browser.find(NAME).getAttribute("value")).isEqualTo("Hearing check, changed");
        browser.awaitText(".dials", "How long");
        browser.click("Go back to what is saved");
        browser.awaitGone(".notice");
        assertThat(browser.find(NAME).getAttribute("value")).isEqualTo("Hearing check due");
        browser.reload();
        browser.awaitText("[data-level=list]", "on the list");
        assertThat(browser.has(".notice")).isFalse();
    }

    void oldVersionIsLookedAtAndNotChanged() {
        browser.click("What can be done with this set");
        browser.click("Versions");
        browser.click("Look at it, the newest");
        browser.awaitText(".notice", "You are looking at version 1");
        browser.clickOn("[aria-label='Should have'] .grip");
        browser.click("Switch off");
        browser.awaitText(".p-toast", "Version 1 is only looked at");
        browser.click("Go back to the newest");
        browser.awaitGone(".notice");
    }

    private String asOf() {
        return browser.find("#as-of").getAttribute("value");
    }

    private boolean isInPage(String words) {
        return Boolean.TRUE.equals(
                browser.run("return document.documentElement.outerHTML.includes(arguments[0])", words));
    }
}
