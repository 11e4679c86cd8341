package dipstick.server.accounts;

import com.nulabinc.zxcvbn.Zxcvbn;
import dipstick.server.practice.PracticeSettings;
import dipstick.server.web.Problems;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.ErrorResponseException;

/**
 * What a password has to be (NIST SP 800-63B-4, section 3.1.1.2): long, and none that is guessed first. Which characters
 * it is made of is nobody's business.
 */
@Component
class PasswordRules {
    static final int SHORTEST = 15;

    /** What bcrypt looks at. */
    static final int MOST_BYTES = 72;

    /** So many guesses are made offline in no time; common passwords and keyboard rows need fewer. */
    private static final double FEWEST_GUESSES = 1e8;

    /** A shorter word of a name is in many words. */
    private static final int SHORTEST_NAME = 4;

    /** Its words take tens of megabytes, and are read once. */
    private static final Zxcvbn STRENGTH = new Zxcvbn();

    private final PracticeSettings settings;

    PasswordRules(PracticeSettings settings) {
        this.settings = settings;
    }

    static boolean isShortEnough(String password) {
        return password.length() <= MOST_BYTES && password.getBytes(StandardCharsets.UTF_8).length <= MOST_BYTES;
    }

    /** Refuses what is no password for this account; nothing is saved then. */
    void require(String password, String name, String displayName) {
        if (!isShortEnough(password)) {
            throw refused("A password has at most 72 bytes; that is 72 plain letters, fewer with accents.");
        }
        if (password.codePointCount(0, password.length()) < SHORTEST) {
            throw refused("A password has at least " + SHORTEST + " characters; a few words are easy to remember.");
        }
        List<String> names = Stream.concat(
                        Stream.of(name, "dipstick"),
                        Stream.of(displayName, settings.practice()).flatMap(words -> Stream.of(words.split("\\P{L}+"))))
                .map(word -> word.toLowerCase(Locale.ROOT))
                .filter(word -> word.length() >= SHORTEST_NAME)
                .toList();
        String lower = password.toLowerCase(Locale.ROOT);
        if (names.stream().anyMatch(lower::contains)) {
            throw refused("A password does not hold the name of the account, of whose it is, or of the practice.");
        }
        if (STRENGTH.measure(password).getGuesses() < FEWEST_GUESSES) {
            throw refused("This password is among the first that are guessed: common words, rows of keys or repeats.");
        }
    }

    private static ErrorResponseException refused(String why) {
        return Problems.refused(
                HttpStatus.UNPROCESSABLE_CONTENT, "password-refused", why + " Nothing was changed; choose another.");
    }
}
