package dipstick.server.accounts;

import dipstick.core.text.Shortened;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.web.ProblemResponse;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import java.util.Optional;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.observation.SecurityObservationSettings;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;

/** How requests are let in: by an account, with the right that their address asks for ({@link AddressRights}). */
@Configuration
class SecurityConfiguration {
    private static final int LONGEST_ADDRESS = 200;

    @Bean
    PasswordEncoder passwordEncoder(PasswordSettings settings) {
        String kind = "bcrypt";
        return new DelegatingPasswordEncoder(kind, Map.of(kind, new BCryptPasswordEncoder(settings.strength())));
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
        http.addFilterBefore(new SignInGuard(throttle), UsernamePasswordAuthenticationFilter.class);
        http.addFilterBefore(new OpenAccountFilter(accounts, sessions), AuthorizationFilter.class);
        http.addFilterAfter(new SecondFactorFilter(demand), AuthorizationFilter.class);
        http.csrf(csrf -> csrf.spa());
        PageHeaders.addTo(http);
        http.authorizeHttpRequests(AddressRights::ask);
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
                .accessDeniedHandler((request, response, _) -> refused(request, response, audit)));
        return http.build();
    }

    private static void refused(HttpServletRequest request, HttpServletResponse response, AuditLog audit)
            throws IOException {
        Optional.ofNullable(request.getUserPrincipal())
                .ifPresent(who -> audit.recordOnce(
                        who.getName(),
                        Act.REFUSED,
                        request.getMethod() + " " + shortened(request.getRequestURI()),
                        SignInAnswers.REFUSED_AGAIN));
        ProblemResponse.write(response, HttpStatus.FORBIDDEN);
    }

    private static String shortened(String address) {
        return Shortened.to(LONGEST_ADDRESS, address);
    }
}
