package dipstick.server.accounts;

import org.springframework.security.core.AuthenticationException;

/** Whoever signed in at the practice's service gets in nowhere here. */
final class OpenIdRefused extends AuthenticationException {
    private static final long serialVersionUID = 1L;

    /** Why; the sign-in page has a sentence for each. */
    enum Why {
        AWAY,
        NOT_VOUCHED_FOR,
        NO_ROLE,
        NO_NAME,
        NAME_TAKEN,
        CLOSED
    }

    private final Why why;

    OpenIdRefused(Why why) {
        super("Refused: " + why);
        this.why = why;
    }

    Why why() {
        return why;
    }
}
