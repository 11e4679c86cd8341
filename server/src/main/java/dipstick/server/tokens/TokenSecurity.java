package dipstick.server.tokens;

import dipstick.server.web.ProblemResponse;
import jakarta.servlet.DispatcherType;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.AnonymousAuthenticationFilter;

/**
 * What asks with a token goes through doors of its own: those of its scopes, and no others, whatever its account may do. It
 * has no session, and no browser sends a token by itself, so nothing has to show that a page of ours asked.
 */
@Configuration
class TokenSecurity {
    @Bean
    @Order(1)
    SecurityFilterChain tokenFilters(HttpSecurity http, Tokens tokens) {
        http.securityMatcher(TokenFilter::showsToken);
        http.csrf(csrf -> csrf.disable());
        http.sessionManagement(session -> session.sessionCreationPolicy(SessionCreationPolicy.STATELESS));
        http.requestCache(cache -> cache.disable());
        http.addFilterBefore(new TokenFilter(tokens), AnonymousAuthenticationFilter.class);
        http.authorizeHttpRequests(requests -> {
            // What goes on with a request that was let in, or what is said of one that went wrong.
            requests.dispatcherTypeMatchers(DispatcherType.ASYNC, DispatcherType.ERROR)
                    .permitAll();
            for (Scope scope : Scope.values()) {
                for (Scope.Door door : scope.doors()) {
                    requests.requestMatchers(door.method(), door.path()).hasAuthority(scope.authority());
                }
            }
            requests.anyRequest().denyAll();
        });
        http.exceptionHandling(errors -> errors.accessDeniedHandler((_, response, _) -> ProblemResponse.write(
                response,
                HttpStatus.FORBIDDEN,
                "beyond-scope",
                "This token is not for that: a token opens what its scopes name, and nothing else.")));
        return http.build();
    }

    /** To whoever shows no token there is nothing where programs are told how the server is. */
    @Bean
    @Order(2)
    SecurityFilterChain nothingForOthers(HttpSecurity http) {
        http.securityMatcher("/actuator/**");
        http.authorizeHttpRequests(requests -> requests.anyRequest().denyAll());
        http.exceptionHandling(errors -> errors.authenticationEntryPoint(
                        (_, response, _) -> ProblemResponse.write(response, HttpStatus.NOT_FOUND))
                .accessDeniedHandler((_, response, _) -> ProblemResponse.write(response, HttpStatus.NOT_FOUND)));
        return http.build();
    }
}
