package dipstick.server.web;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;

/**
 * A word that is another one in each answer: the page has it, so what the page itself adds is in force, and what somebody
 * got into it is not (W3C Content Security Policy Level 3, section 2.3.1).
 */
public final class PageNonce {
    /** In its place the built page has this. */
    static final String PLACE = "page-nonce";

    private static final String KEPT = PageNonce.class.getName();
    private static final int LETTERS = 26;

    private PageNonce() {}

    /** The same one for all that is answered to one request. */
    public static String of(HttpServletRequest request) {
        return Optional.ofNullable((String) request.getAttribute(KEPT)).orElseGet(() -> {
            String made = PlainLetters.random(LETTERS);
            request.setAttribute(KEPT, made);
            return made;
        });
    }
}
