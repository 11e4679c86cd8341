package dipstick.server.accounts;

import jakarta.servlet.DispatcherType;
import org.springframework.http.HttpMethod;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AuthorizeHttpRequestsConfigurer;

/**
 * Which role each address asks for: everything under {@code /api} but signing in needs an account. The first that fits is in
 * force, so a part of an address stands before the whole. What somebody may do with one list, its controllers ask of Sharing.
 */
final class AddressRights {
    private static final String COORDINATOR = Role.COORDINATOR.name();
    private static final String CALLER = Role.CALLER.name();
    private static final String CLINICIAN = Role.CLINICIAN.name();
    private static final String MANAGER = Role.MANAGER.name();
    private static final String ADMINISTRATOR = Role.ADMINISTRATOR.name();

    private AddressRights() {}

    static void ask(AuthorizeHttpRequestsConfigurer<HttpSecurity>.AuthorizationManagerRequestMatcherRegistry of) {
        // What goes on with a request that was let in: a stream ends after its session did.
        of.dispatcherTypeMatchers(DispatcherType.ASYNC).permitAll();
        of.requestMatchers("/api/session", "/api/sign-in/**", "/api/first-account")
                .permitAll();
        of.requestMatchers("/api/session/**", "/api/colleagues").authenticated();
        practice(of);
        criteria(of);
        people(of);
        written(of);
        lists(of);
        of.requestMatchers("/api/**", "/v3/**").authenticated();
        of.anyRequest().permitAll();
    }

    private static void practice(
            AuthorizeHttpRequestsConfigurer<HttpSecurity>.AuthorizationManagerRequestMatcherRegistry of) {
        of.requestMatchers(
                        "/api/accounts/**",
                        "/api/groups/**",
                        "/api/second-factor",
                        "/api/backups",
                        "/api/record-systems/**")
                .hasRole(ADMINISTRATOR);
        of.requestMatchers("/api/deliveries/**", "/api/intakes/**", "/api/letterhead")
                .hasAnyRole(COORDINATOR, ADMINISTRATOR);
        of.requestMatchers("/api/audit/**").hasAnyRole(MANAGER, ADMINISTRATOR);
        of.requestMatchers("/api/workload").hasAnyRole(COORDINATOR, MANAGER);
        of.requestMatchers(HttpMethod.GET, "/api/region").hasAnyRole(COORDINATOR, MANAGER);
        of.requestMatchers("/api/region/**").hasRole(COORDINATOR);
    }

    private static void criteria(
            AuthorizeHttpRequestsConfigurer<HttpSecurity>.AuthorizationManagerRequestMatcherRegistry of) {
        of.requestMatchers(
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
                        "/api/records/vocabulary")
                .hasRole(COORDINATOR);
    }

    private static void people(
            AuthorizeHttpRequestsConfigurer<HttpSecurity>.AuthorizationManagerRequestMatcherRegistry of) {
        of.requestMatchers("/api/people/*/report", "/api/people/*/erasure", "/api/erasures/**")
                .hasRole(COORDINATOR);
        of.requestMatchers("/api/people/**").hasAnyRole(COORDINATOR, CLINICIAN);
        of.requestMatchers("/api/who/**").hasAnyRole(COORDINATOR, CALLER, CLINICIAN);
    }

    private static void written(
            AuthorizeHttpRequestsConfigurer<HttpSecurity>.AuthorizationManagerRequestMatcherRegistry of) {
        of.requestMatchers(HttpMethod.GET, "/api/letters", "/api/mail").hasAnyRole(COORDINATOR, CALLER, CLINICIAN);
        of.requestMatchers("/api/letters/**", "/api/mail/sent").hasRole(COORDINATOR);
        of.requestMatchers("/api/sendings/now").hasAnyRole(COORDINATOR, CALLER, CLINICIAN, MANAGER);
        of.requestMatchers("/api/sendings/**").hasRole(COORDINATOR);
    }

    private static void lists(
            AuthorizeHttpRequestsConfigurer<HttpSecurity>.AuthorizationManagerRequestMatcherRegistry of) {
        of.requestMatchers("/api/lists/**", "/api/lists-compared", "/api/today", "/api/coming-in/**")
                .hasAnyRole(COORDINATOR, CALLER, CLINICIAN, MANAGER);
    }
}
