package dipstick.server.hooks;

import dipstick.server.audit.AuditLog;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.AnonymousAuthenticationFilter;

/** What record systems ask goes through a door of its own, for whoever signs what they ask, and opens no other. */
@Configuration
class HookSecurity {
    /** The address that CDS Hooks gives to the services of a place. */
    static final String SERVICES = "/cds-services";

    @Bean
    @Order(0)
    SecurityFilterChain hookFilters(
            HttpSecurity http,
            SignedRequests signed,
            AuditLog audit,
            @Value("${dipstick.public-address}") String address) {
        http.securityMatcher(SERVICES, SERVICES + "/**");
        http.csrf(csrf -> csrf.disable());
        http.sessionManagement(session -> session.sessionCreationPolicy(SessionCreationPolicy.STATELESS));
        http.requestCache(cache -> cache.disable());
        http.addFilterBefore(new HookTokenFilter(signed, audit, address), AnonymousAuthenticationFilter.class);
        http.authorizeHttpRequests(requests -> requests.anyRequest().authenticated());
        return http.build();
    }
}
