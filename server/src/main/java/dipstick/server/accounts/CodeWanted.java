package dipstick.server.accounts;

import org.springframework.security.core.AuthenticationException;

/** The password was right, but more than it is asked for. */
final class CodeWanted extends AuthenticationException {
    private static final long serialVersionUID = 1L;

    enum Why {
        NONE_GIVEN("code-wanted", "This account has a second factor: type the code that your device shows."),
        WRONG(
                "code-refused",
                "The code is not right, or was used already. Wait for the next one, or use a recovery code."),
        PASSKEY("passkey-wanted", "Your practice asks for more than a password here: sign in with your passkey."),
        ELSEWHERE(
                "elsewhere-wanted",
                "Passwords are switched off here: sign in with the practice's own sign-in service, by the button below."),
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
