package dipstick.server.accounts;

import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.web.PageNonce;
import dipstick.server.web.ProblemResponse;
import jakarta.servlet.DispatcherType;
import java.util.Optional;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.observation.SecurityObservationSettings;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.header.writers.CrossOriginOpenerPolicyHeaderWriter.CrossOriginOpenerPolicy;
import org.springframework.security.web.header.writers.CrossOriginResourcePolicyHeaderWriter.CrossOriginResourcePolicy;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/** Who may do what: everything under {@code /api} but signing in needs an account with the right. */
@Configuration
class SecurityConfiguration {
    private static final int LONGEST_ADDRESS = 200;

    /** The pages use none of these, so nothing that got into them can either. */
    private static final String NOTHING_OF_THE_MACHINE =
            "camera=(), microphone=(), geolocation=(), payment=(), usb=(), serial=(), display-capture=()";

    @Bean
    PasswordEncoder passwordEncoder() {
        return PasswordEncoderFactories.createDelegatingPasswordEncoder();
    }

    /** How long each of two dozen filters takes is of no use to anybody, and each request paid for telling it. */
    @Bean
    SecurityObservationSettings securityObservations() {
        return SecurityObservationSettings.noObservations();
    }

    @Bean
    SecurityFilterChain filters(
            HttpSecurity http,
            Accounts accounts,
            OpenSessions sessions,
            SecondFactorDemand demand,
            SignInAnswers answers,
            PasskeySignIn passkeys,
            OpenIdSignIn openId,
            SignOutAnswer signedOut,
            SignInThrottle throttle,
            AuditLog audit)
            throws Exception {
        String coordinator = Role.COORDINATOR.name();
        String caller = Role.CALLER.name();
        String clinician = Role.CLINICIAN.name();
        String manager = Role.MANAGER.name();
        String administrator = Role.ADMINISTRATOR.name();
        http.addFilterBefore(new SignInGuard(throttle), UsernamePasswordAuthenticationFilter.class);
        http.addFilterBefore(new OpenAccountFilter(accounts, sessions), AuthorizationFilter.class);
        http.addFilterAfter(new SecondFactorFilter(demand), AuthorizationFilter.class);
        http.csrf(csrf -> csrf.spa());
        http.headers(headers -> headers.addHeaderWriter((request, response) ->
                        response.setHeader("Content-Security-Policy", policy(PageNonce.of(request))))
                .referrerPolicy(policy -> policy.policy(ReferrerPolicy.SAME_ORIGIN))
                .permissionsPolicyHeader(policy -> policy.policy(NOTHING_OF_THE_MACHINE))
                .crossOriginOpenerPolicy(policy -> policy.policy(CrossOriginOpenerPolicy.SAME_ORIGIN))
                .crossOriginResourcePolicy(policy -> policy.policy(CrossOriginResourcePolicy.SAME_ORIGIN)));
        http.authorizeHttpRequests(
                // What goes on with a request that was let in: a stream ends after its session did.
                requests -> requests.dispatcherTypeMatchers(DispatcherType.ASYNC)
                        .permitAll()
                        .requestMatchers("/api/session", "/api/sign-in/**", "/api/first-account")
                        .permitAll()
                        .requestMatchers("/api/session/**", "/api/colleagues")
                        .authenticated()
                        .requestMatchers(
                                "/api/accounts/**",
                                "/api/groups/**",
                                "/api/second-factor",
                                "/api/backups",
                                "/api/record-systems/**")
                        .hasRole(administrator)
                        .requestMatchers("/api/deliveries/**", "/api/intakes/**", "/api/letterhead")
                        .hasAnyRole(coordinator, administrator)
                        .requestMatchers(
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
                        .hasRole(coordinator)
                        .requestMatchers("/api/people/*/report", "/api/people/*/erasure", "/api/erasures/**")
                        .hasRole(coordinator)
                        .requestMatchers("/api/people/**")
                        .hasAnyRole(coordinator, clinician)
                        .requestMatchers(HttpMethod.GET, "/api/letters", "/api/mail")
                        .hasAnyRole(coordinator, caller, clinician)
                        .requestMatchers("/api/sendings/now")
                        .hasAnyRole(coordinator, caller, clinician, manager)
                        .requestMatchers("/api/sendings/**")
                        .hasRole(coordinator)
                        .requestMatchers("/api/who/**")
                        .hasAnyRole(coordinator, caller, clinician)
                        .requestMatchers("/api/letters/**", "/api/mail/sent")
                        .hasRole(coordinator)
                        .requestMatchers(HttpMethod.GET, "/api/region")
                        .hasAnyRole(coordinator, manager)
                        .requestMatchers("/api/region/**")
                        .hasRole(coordinator)
                        .requestMatchers("/api/workload")
                        .hasAnyRole(coordinator, manager)
                        .requestMatchers("/api/audit/**")
                        .hasAnyRole(manager, administrator)
                        .requestMatchers("/api/lists/**", "/api/lists-compared", "/api/today", "/api/coming-in/**")
                        // What somebody may do with each list, its controllers ask of Sharing.
                        .hasAnyRole(coordinator, caller, clinician, manager)
                        .requestMatchers("/api/**", "/v3/**")
                        .authenticated()
                        .anyRequest()
                        .permitAll());
        http.formLogin(form -> form.loginPage("/")
                .authenticationDetailsSource(request -> new SignInProvider.Typed(
                        Optional.ofNullable(request.getParameter("code")).orElse("")))
                .loginProcessingUrl(SignInGuard.ADDRESS)
                .successHandler(answers)
                .failureHandler(answers));
        passkeys.addTo(http);
        openId.addTo(http);
        http.logout(logout -> logout.logoutUrl("/api/sign-out")
                .addLogoutHandler((_, _, who) -> Optional.ofNullable(who)
                        .ifPresent(one -> audit.record(one.getName(), Act.SIGNED_OUT, "by themselves")))
                .logoutSuccessHandler(signedOut));
        http.exceptionHandling(errors -> errors.authenticationEntryPoint(
                        (_, response, _) -> ProblemResponse.write(response, HttpStatus.UNAUTHORIZED))
                .accessDeniedHandler((request, response, _) -> {
                    Optional.ofNullable(request.getUserPrincipal())
                            .ifPresent(who -> audit.recordOnce(
                                    who.getName(),
                                    Act.REFUSED,
                                    request.getMethod() + " " + shortened(request.getRequestURI()),
                                    SignInAnswers.REFUSED_AGAIN));
                    ProblemResponse.write(response, HttpStatus.FORBIDDEN);
                }));
        return http.build();
    }

    private static String policy(String nonce) {
        return "default-src 'self'; style-src 'self' 'nonce-" + nonce + "'; img-src 'self' data:;"
                + " font-src 'self' data:; object-src 'none'; frame-ancestors 'none'; form-action 'self'; base-uri 'self'";
    }

    private static String shortened(String address) {
        return address.substring(0, Math.min(address.length(), LONGEST_ADDRESS));
    }
}
