package dipstick.server.accounts;

import dipstick.server.web.PageNonce;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.web.header.writers.CrossOriginOpenerPolicyHeaderWriter.CrossOriginOpenerPolicy;
import org.springframework.security.web.header.writers.CrossOriginResourcePolicyHeaderWriter.CrossOriginResourcePolicy;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/** What browsers are told of each page, so that nothing that got into one can do more than the page. */
final class PageHeaders {
    /** The pages use none of these, so nothing that got into them can either. */
    private static final String NOTHING_OF_THE_MACHINE =
            "camera=(), microphone=(), geolocation=(), payment=(), usb=(), serial=(), display-capture=()";

    private PageHeaders() {}

    static void addTo(HttpSecurity http) {
        http.headers(headers -> headers.addHeaderWriter((request, response) ->
                        response.setHeader("Content-Security-Policy", policy(PageNonce.of(request))))
                .referrerPolicy(policy -> policy.policy(ReferrerPolicy.SAME_ORIGIN))
                .permissionsPolicyHeader(policy -> policy.policy(NOTHING_OF_THE_MACHINE))
                .crossOriginOpenerPolicy(policy -> policy.policy(CrossOriginOpenerPolicy.SAME_ORIGIN))
                .crossOriginResourcePolicy(policy -> policy.policy(CrossOriginResourcePolicy.SAME_ORIGIN)));
    }

    private static String policy(String nonce) {
        return "default-src 'self'; style-src 'self' 'nonce-" + nonce + "'; img-src 'self' data:;"
                + " font-src 'self' data:; object-src 'none'; frame-ancestors 'none'; form-action 'self'; base-uri 'self'";
    }
}
