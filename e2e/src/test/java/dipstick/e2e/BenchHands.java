package dipstick.e2e;

import java.util.Locale;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;

/** What somebody does at the bench, with the mouse and the keys. */
final class BenchHands {
    private final Browser browser;

    BenchHands(Browser browser) {
        this.browser = browser;
    }

    void setAsOf(String day) {
        browser.type("#as-of", day);
        browser.press(Keys.ENTER, Keys.ESCAPE, Keys.TAB);
    }

    void add(String section, String what) {
        browser.click("Add to " + section);
        browser.click(what);
    }

    void change(String criterion, String control) {
        browser.clickOn("[data-criterion='" + criterion + "'] [data-control=" + control + "]");
        browser.find(".p-popover .slot");
    }

    void closeEditor() {
        browser.press(Keys.ESCAPE);
        browser.awaitGone(".p-popover");
    }

    void fillTermSet() {
        browser.type(".p-dialog input[placeholder='hearing check']", "Hearing check");
        String find = ".p-dialog input[placeholder='Type a code or wording']";
        browser.type(find, "hc1");
        tick("code HC1 of local");
        browser.type(find, "HC2");
        browser.click("Add code “HC2” of any system");
        browser.type(find, "hearing check");
        browser.click("Add wording starting with “hearing check”");
        browser.type(find, "audiogram");
        tick("keyword audiogram");
        browser.click("Use it");
        browser.awaitGone(".p-dialog");
    }

    private void tick(String words) {
        browser.until(page -> browser.findAll(".found tbody tr").stream()
                .filter(term -> term.getText().toLowerCase(Locale.ROOT).contains(words.toLowerCase(Locale.ROOT)))
                .findFirst()
                .map(term -> {
                    term.findElement(By.cssSelector("input")).click();
                    return true;
                })
                .orElse(null));
    }

    void focus(String css) {
        browser.find(css);
        browser.run("document.querySelector(arguments[0]).focus()", css);
    }

    String textOfSet() {
        return String.valueOf(browser.find("#set-text").getDomProperty("value"));
    }

    void setText(String text) {
        browser.run(
                "const area = document.querySelector('#set-text'); area.value = arguments[0];"
                        + "area.dispatchEvent(new Event('input'))",
                text);
    }

    void typeCriterion(String section, String words) {
        browser.chord(Keys.ALT, section);
        browser.press(words);
        browser.awaitText("[role=status]", "adds: ");
        browser.press(Keys.ENTER);
        browser.find("[data-criterion=" + words.replace(' ', '-') + "] .level");
    }
}
