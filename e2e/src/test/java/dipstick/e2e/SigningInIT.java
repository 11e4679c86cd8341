package dipstick.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.ByteBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Locale;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;

/** More than a password: a code, a passkey, and what an administrator asks of a role. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class SigningInIT {
    private static final String PASSWORD = "a long password";
    private static final int MOST_BYTES_AT_FIRST = 200_000;
    private static final String FACTOR = "[aria-label='Second factor']";

    @TempDir
    static Path folder;

    private static RunningApplication application;
    private static Browser browser;
    private static String recoveryCode;

    @RegisterExtension
    static final PictureOfFailure PICTURE = new PictureOfFailure(() -> browser);

    @BeforeAll
    static void start() throws Exception {
        application = RunningApplication.start(folder.resolve("data"));
        browser = new Browser(Files.createDirectories(folder.resolve("downloads")));
        browser.plugInDevice();
        browser.open(application.address());
        FirstVisit.createAccount(browser, application.firstAccountCode(), PASSWORD);
    }

    @AfterAll
    static void stop() {
        browser.close();
        application.close();
    }

    private static void signIn() {
        browser.type("#name", "mera");
        browser.type("#password", PASSWORD);
        browser.click("Sign in");
    }

    private static void openOwnAccount() {
        browser.awaitText("nav", "Criteria");
        browser.click("Mera Coordinator");
        browser.awaitText(".p-dialog", "Passkeys");
    }

    private static void signOut() {
        browser.click("Close");
        browser.awaitGone(".p-dialog");
        browser.click("Sign out");
        browser.find("#password");
    }

    /** RFC 6238, with the secret in base 32 (RFC 4648). */
    private static String codeOf(String secret) throws Exception {
        ByteBuffer key = ByteBuffer.allocate(secret.length() * 5 / 8);
        int bits = 0;
        long held = 0;
        for (int i = 0; i < secret.length(); i++) {
            held = held << 5 | "ABCDEFGHIJKLMNOPQRSTUVWXYZ234567".indexOf(secret.charAt(i));
            bits += 5;
            if (bits >= 8) {
                bits -= 8;
                key.put((byte) (held >> bits));
            }
        }
        Mac mac = Mac.getInstance("HmacSHA1");
        mac.init(new SecretKeySpec(key.array(), "HmacSHA1"));
        byte[] hash = mac.doFinal(ByteBuffer.allocate(8)
                .putLong(Instant.now().getEpochSecond() / 30)
                .array());
        int number = ByteBuffer.wrap(hash).getInt(hash[hash.length - 1] & 15) & Integer.MAX_VALUE;
        return String.format(Locale.ROOT, "%06d", number % 1_000_000);
    }

    @Test
    @Order(0)
    void the_page_to_sign_in_at_is_small_and_compressed_beforehand() throws Exception {
        assertThat(new FirstPage(application.address()).bytes()).isLessThan(MOST_BYTES_AT_FIRST);
    }

    @Test
    @Order(1)
    void a_code_is_set_up_with_a_device_and_asked_for() throws Exception {
        signIn();
        openOwnAccount();
        browser.type("#factor-password", PASSWORD);
        browser.click("Set it up");
        browser.awaitText(FACTOR, "Scan the square");
        assertThat(browser.violations()).isEmpty();
        browser.type("#factor-code", "000000");
        browser.click("Confirm");
        browser.awaitText(FACTOR, "not the code of now");
        browser.type("#factor-code", codeOf(browser.text(FACTOR + " code").replace(" ", "")));
        browser.click("Confirm");
        browser.awaitText(FACTOR, "Write these recovery codes down");
        recoveryCode = browser.text(FACTOR + " li");
        browser.click("I have written them down");
        browser.awaitText(FACTOR, "10 recovery codes are left");
        signOut();

        signIn();
        browser.awaitText("[role=alert]", "This account has a second factor");
        assertThat(browser.violations()).isEmpty();
        browser.type("#code", recoveryCode);
        browser.click("Sign in");
        openOwnAccount();
        browser.awaitText(FACTOR, "9 recovery codes are left");
    }

    @Test
    @Order(2)
    void a_passkey_is_made_with_a_device_and_signs_in_only_for_its_owner() {
        browser.type("#passkey-label", "Laptop at the desk");
        browser.type("#passkey-password", PASSWORD);
        browser.click("Make a passkey");
        browser.awaitText("[aria-label=Passkeys]", "Laptop at the desk made");
        assertThat(browser.violations()).isEmpty();
        signOut();

        browser.ownerIsThere(false);
        browser.click("Sign in with a passkey");
        browser.awaitText("[role=alert]", "The device gave no passkey");
        browser.ownerIsThere(true);
        browser.click("Sign in with a passkey");
        browser.awaitText("nav", "Criteria");
    }

    @Test
    @Order(3)
    void where_a_passkey_is_asked_for_the_password_gets_nobody_in() {
        browser.click("Practice");
        browser.click("Accounts");
        browser.awaitText("main", "with a second factor");
        browser.pick(".roles label:last-child select", "a passkey");
        browser.awaitText("main", "Of each administrator is asked, from now on: a passkey.");
        assertThat(browser.violations()).isEmpty();
        browser.click("Sign out");
        signIn();
        browser.awaitText("[role=alert]", "sign in with your passkey");
        browser.click("Sign in with a passkey");
        openOwnAccount();
        browser.click("Remove");
        browser.awaitText("[aria-label=Passkeys]", "Make another first");
    }
}
