package dipstick.server.accounts;

import jakarta.servlet.DispatcherType;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;
import org.springframework.http.HttpMethod;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AuthorizeHttpRequestsConfigurer;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;
import org.springframework.security.web.util.matcher.RequestMatcher;

/**
 * Whose duty each address is: everything under {@code /api} but signing in needs an account. The first that fits is in force, so
 * a part of an address stands before the whole. What somebody may do with one list, its controllers ask of Sharing.
 */
final class AddressRights {
    /** Requests that are for whoever has a duty. */
    private record Asks(Duty duty, List<RequestMatcher> requests) {}

    private static final List<Asks> ASKS = List.of(
            of(
                    Duty.KEEP_HOUSE,
                    "/api/accounts/**",
                    "/api/groups/**",
                    "/api/second-factor",
                    "/api/backups",
                    "/api/record-systems/**"),
            of(Duty.BRING_RECORDS_IN, "/api/deliveries/**", "/api/intakes/**"),
            of(Duty.KEEP_LETTERHEAD, "/api/letterhead"),
            of(Duty.READ_AUDIT_LOG, "/api/audit/**"),
            of(Duty.REVIEW_WORK, "/api/workload"),
            toRead(Duty.REVIEW_WORK, "/api/region"),
            of(
                    Duty.COORDINATE,
                    "/api/region/**",
                    "/api/bench/**",
                    "/api/criteria/**",
                    "/api/term-sets/**",
                    "/api/rosters/**",
                    "/api/comparisons/**",
                    "/api/sharing/**",
                    "/api/outcomes",
                    "/api/stand-in/**",
                    "/api/templates/**",
                    "/api/same-person/**",
                    "/api/records/state/**",
                    "/api/records/terms/**",
                    "/api/records/vocabulary",
                    "/api/people/*/report",
                    "/api/people/*/erasure",
                    "/api/erasures/**"),
            of(Duty.SEE_PEOPLE, "/api/people/**"),
            of(Duty.WORK_LISTS, "/api/who/**"),
            toRead(Duty.WORK_LISTS, "/api/letters", "/api/mail"),
            of(Duty.COORDINATE, "/api/letters/**", "/api/mail/sent"),
            of(Duty.READ_LISTS, "/api/sendings/now"),
            of(Duty.COORDINATE, "/api/sendings/**"),
            of(Duty.READ_LISTS, "/api/lists/**", "/api/lists-compared", "/api/today", "/api/coming-in/**"));

    private AddressRights() {}

    private static Asks of(Duty duty, String... addresses) {
        return asks(duty, PathPatternRequestMatcher::pathPattern, addresses);
    }

    private static Asks toRead(Duty duty, String... addresses) {
        return asks(duty, address -> PathPatternRequestMatcher.pathPattern(HttpMethod.GET, address), addresses);
    }

    private static Asks asks(Duty duty, Function<String, RequestMatcher> matcher, String... addresses) {
        return new Asks(duty, Stream.of(addresses).map(matcher).toList());
    }

    static void ask(AuthorizeHttpRequestsConfigurer<HttpSecurity>.AuthorizationManagerRequestMatcherRegistry of) {
        // What goes on with a request that was let in: a stream ends after its session did.
        of.dispatcherTypeMatchers(DispatcherType.ASYNC).permitAll();
        of.requestMatchers("/api/session", "/api/sign-in/**", "/api/first-account")
                .permitAll();
        of.requestMatchers("/api/session/**", "/api/colleagues").authenticated();
        for (Asks asks : ASKS) {
            of.requestMatchers(asks.requests().toArray(RequestMatcher[]::new))
                    .hasAnyRole(asks.duty().roleNames());
        }
        of.requestMatchers("/api/**", "/v3/**").authenticated();
        of.anyRequest().permitAll();
    }
}
