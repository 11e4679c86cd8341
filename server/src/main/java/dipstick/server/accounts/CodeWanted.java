package dipstick.server.accounts;

import org.springframework.security.core.AuthenticationException;

/** The password was right, but the code of the second factor is not there or not good. */
final class CodeWanted extends AuthenticationException {
    private static final long serialVersionUID = 1L;

    enum Why {
        NONE_GIVEN("code-wanted", "This account has a second factor: type the code that your device shows."),
        WRONG(
                "code-refused",
                "The code is not right, or was used already. Wait for the next one, or use a recovery code."),
        TOO_SOON(
                "code-refused", "There were too many wrong codes for this account. Wait some minutes, then try again.");

        private final String type;
        private final String words;

        Why(String type, String words) {
            this.type = type;
            this.words = words;
        }

        String type() {
            return type;
        }

        /** For whoever signs in. */
        String words() {
            return words;
        }
    }

    private final Why why;

    CodeWanted(Why why) {
        super(why.words());
        this.why = why;
    }

    Why why() {
        return why;
    }
}
