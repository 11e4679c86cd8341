package dipstick.e2e;

import com.deque.html.axecore.results.Rule;
import com.deque.html.axecore.selenium.AxeBuilder;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.logging.Level;
import org.openqa.selenium.By;
import org.openqa.selenium.ElementClickInterceptedException;
import org.openqa.selenium.JavascriptExecutor;
import org.openqa.selenium.Keys;
import org.openqa.selenium.OutputType;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.TimeoutException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.logging.LogEntry;
import org.openqa.selenium.logging.LogType;
import org.openqa.selenium.logging.LoggingPreferences;
import org.openqa.selenium.support.ui.ExpectedCondition;
import org.openqa.selenium.support.ui.Select;
import org.openqa.selenium.support.ui.WebDriverWait;
import org.openqa.selenium.virtualauthenticator.VirtualAuthenticator;
import org.openqa.selenium.virtualauthenticator.VirtualAuthenticatorOptions;

/** Headless Chromium at 1280 by 800, with the few gestures that the tests need. */
final class Browser implements AutoCloseable {
    private final ChromeDriver driver;
    private final WebDriverWait wait;
    private VirtualAuthenticator device;

    Browser(Path downloads) throws IOException {
        ChromeOptions options = new ChromeOptions();
        options.setBinary("/usr/bin/chromium");
        options.addArguments(
                "--headless=new",
                "--no-sandbox",
                "--disable-gpu",
                "--disable-quic",
                "--no-first-run",
                "--disable-background-networking",
                "--disable-component-update",
                "--disable-sync",
                "--disable-dev-shm-usage",
                "--force-device-scale-factor=1",
                "--lang=en-GB");
        options.setExperimentalOption(
                "prefs",
                Map.of(
                        "credentials_enable_service", false,
                        "profile.password_manager_enabled", false,
                        "profile.password_manager_leak_detection", false,
                        "download.default_directory", downloads.toAbsolutePath().toString()));
        LoggingPreferences told = new LoggingPreferences();
        told.enable(LogType.BROWSER, Level.ALL);
        options.setCapability("goog:loggingPrefs", told);
        ChromeDriverService service = new ChromeDriverService.Builder()
                .usingDriverExecutable(new File("/usr/bin/chromedriver"))
                .build();
        this.driver = new ChromeDriver(service, options);
        this.wait = new WebDriverWait(driver, Duration.ofMinutes(3), Duration.ofMillis(100));
        wait.ignoring(StaleElementReferenceException.class);
        resize(1280, 800);
    }

    void resize(int width, int height) {
        driver.executeCdpCommand(
                "Emulation.setDeviceMetricsOverride",
                Map.of("width", width, "height", height, "deviceScaleFactor", 1, "mobile", false));
    }

    /** Whether whoever sits here has asked for a dark screen. */
    void darken(boolean dark) {
        driver.executeCdpCommand(
                "Emulation.setEmulatedMedia",
                Map.of("features", List.of(Map.of("name", "prefers-color-scheme", "value", dark ? "dark" : "light"))));
    }

    /** A device that keeps passkeys, and whose owner is always the right one. */
    void plugInDevice() {
        VirtualAuthenticatorOptions options = new VirtualAuthenticatorOptions()
                .setTransport(VirtualAuthenticatorOptions.Transport.INTERNAL)
                .setHasResidentKey(true)
                .setHasUserVerification(true)
                .setIsUserVerified(true);
        device = driver.addVirtualAuthenticator(options);
    }

    /** Whether the device can tell that it is its owner. */
    void ownerIsThere(boolean there) {
        device.setUserVerified(there);
    }

    /** What the policy of the pages refused since this was last asked. */
    List<String> refusedByPolicy() {
        return driver.manage().logs().get(LogType.BROWSER).getAll().stream()
                .map(LogEntry::getMessage)
                .filter(message -> message.contains("Content Security Policy"))
                .toList();
    }

    /** What of the page cannot be seen whole, because it goes beyond the window's edge or what holds it. */
    Object cutOff() {
        return run("""
                const page = document.documentElement
                const wide = page.scrollWidth > page.clientWidth ? ['the page'] : []
                const out = [...document.querySelectorAll('button, a, input, h1, h2, .word, th')]
                  .filter((one) => one.checkVisibility() && one.type !== 'file' && !one.closest('svg'))
                  .filter((one) => {
                    const box = one.getBoundingClientRect()
                    return box.width > 0 && (box.left < -1 || box.right > window.innerWidth + 1)
                  })
                return [...wide, ...out.map((one) => one.outerHTML.slice(0, 120))]
                """);
    }

    /** Goes on by the tabulator until what has the focus fits. */
    void tabTo(String css) {
        tabTo(css, () -> press(Keys.TAB));
    }

    /** As {@link #tabTo}, backwards. */
    void tabBackTo(String css) {
        tabTo(css, () -> chord(Keys.SHIFT, Keys.TAB));
    }

    private void tabTo(String css, Runnable tab) {
        for (int i = 0; i < 80; i++) {
            tab.run();
            if (Boolean.TRUE.equals(run("return document.activeElement.matches(arguments[0])", css))) {
                return;
            }
        }
        throw new AssertionError("The tabulator does not come to " + css);
    }

    void open(String address) {
        driver.get(address);
    }

    String path() {
        return driver.getCurrentUrl().replaceFirst("https?://[^/]+", "");
    }

    String title() {
        return driver.getTitle();
    }

    void reload() {
        driver.navigate().refresh();
    }

    <T> T until(ExpectedCondition<T> condition) {
        return wait.until(condition);
    }

    /** The first shown element, once there is one. */
    WebElement find(String css) {
        return find(By.cssSelector(css));
    }

    WebElement find(By by) {
        return until(page -> page.findElements(by).stream()
                .filter(WebElement::isDisplayed)
                .findFirst()
                .orElse(null));
    }

    /** One that is there, whether it is seen or not, such as what picks a file behind a button. */
    WebElement await(String css) {
        return until(_ -> findAll(css).stream().findFirst().orElse(null));
    }

    List<WebElement> findAll(String css) {
        return driver.findElements(By.cssSelector(css));
    }

    boolean has(String css) {
        return findAll(css).stream().anyMatch(WebElement::isDisplayed);
    }

    /** The element of this name: a button, link, menu item or option whose words are just these. */
    WebElement named(String words) {
        String said = "[normalize-space()=\"" + words + "\" or @aria-label=\"" + words + "\"]";
        return find(By.xpath("//button" + said + "|//a" + said
                + "|//*[@role='menuitem' or @role='option' or @role='button']" + said));
    }

    void click(String words) {
        retrying(() -> named(words).click());
    }

    void clickOn(String css) {
        retrying(() -> find(css).click());
    }

    private void retrying(Runnable gesture) {
        until(page -> {
            try {
                gesture.run();
                return true;
            } catch (StaleElementReferenceException | ElementClickInterceptedException moving) {
                return false;
            }
        });
    }

    /** Replaces what a text field holds. */
    void type(String css, String text) {
        WebElement field = find(css);
        field.sendKeys(Keys.chord(Keys.CONTROL, "a"), text);
    }

    void press(CharSequence... keys) {
        new Actions(driver).sendKeys(keys).perform();
    }

    void chord(Keys modifier, CharSequence key) {
        new Actions(driver).keyDown(modifier).sendKeys(key).keyUp(modifier).perform();
    }

    /** Opens a choice by its label and picks one of its options. */
    void choose(String label, String option) {
        clickOn("[aria-label=\"" + label + "\"][role=combobox], .p-select:has([aria-label=\"" + label + "\"])");
        retrying(() -> find(By.xpath("//li[@role='option'][normalize-space()=\"" + option + "\"]"))
                .click());
    }

    /** An option of a plain list of choices. */
    void pick(String css, String option) {
        new Select(find(css)).selectByVisibleText(option);
    }

    String text(String css) {
        return until(page -> find(css).getText());
    }

    void awaitText(String css, String words) {
        try {
            until(page -> find(css).getText().contains(words));
        } catch (TimeoutException late) {
            throw new AssertionError(
                    "“" + words + "” did not appear in " + css + ", which says: "
                            + find(css).getText(),
                    late);
        }
    }

    void awaitGone(String css) {
        until(page -> !has(css));
    }

    /** Waits until nothing moves any more: a dialog that has come in takes the focus once more at the end of it. */
    void awaitStill() {
        until(page -> run("return document.querySelector('.p-dialog-enter-active') === null"
                        + " && document.getAnimations().every(it =>"
                        + " it.playState !== 'running' || it.effect.getComputedTiming().endTime === Infinity)")
                .equals(true));
    }

    /**
     * What axe finds, in words, by WCAG 2.2 AA and by what it holds for good practice. Waits until nothing moves and no message is shown that may
     * go meanwhile: what is half faded has no contrast that could be judged.
     */
    @SuppressWarnings("deprecation")
    List<String> violations() {
        awaitGone(".p-toast-message");
        awaitStill();
        // Without the legacy mode a second window is opened for the sake of frames, of which the page has none; on a
        // slow
        // machine opening it fails at times.
        return new AxeBuilder()
                        .setLegacyMode(true)
                        .withTags(List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa", "best-practice"))
                        .analyze(driver)
                        .getViolations()
                        .stream()
                        .map(Browser::words)
                        .toList();
    }

    private static String words(Rule rule) {
        return rule.getId() + ": " + rule.getHelp() + " "
                + rule.getNodes().stream().map(node -> node.getHtml()).toList();
    }

    /** Runs a function in the page and gives what it returns. */
    Object run(String script, Object... arguments) {
        return ((JavascriptExecutor) driver).executeScript(script, arguments);
    }

    /** Keeps the picture of a main view, where they are asked for. */
    void view(String name) throws IOException, InterruptedException {
        if (Boolean.getBoolean("screenshots")) {
            Thread.sleep(600);
            picture(Path.of("../docs/screenshots/" + name + ".png"));
        }
    }

    void picture(Path file) throws IOException {
        Files.createDirectories(file.getParent());
        Files.write(file, driver.getScreenshotAs(OutputType.BYTES));
    }

    @Override
    public void close() {
        driver.quit();
    }
}
