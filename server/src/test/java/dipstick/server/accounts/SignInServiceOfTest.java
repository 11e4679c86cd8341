package dipstick.server.accounts;

import com.nimbusds.jose.JOSEException;
import com.nimbusds.jose.jwk.JWKSet;
import com.nimbusds.jose.jwk.gen.RSAKeyGenerator;
import com.nimbusds.jose.jwk.source.ImmutableJWKSet;
import com.nimbusds.jose.jwk.source.JWKSource;
import com.nimbusds.jose.proc.SecurityContext;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.boot.WebApplicationType;
import org.springframework.boot.autoconfigure.ImportAutoConfiguration;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.tomcat.autoconfigure.servlet.TomcatServletWebServerAutoConfiguration;
import org.springframework.boot.webmvc.autoconfigure.DispatcherServletAutoConfiguration;
import org.springframework.boot.webmvc.autoconfigure.WebMvcAutoConfiguration;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.context.support.GenericApplicationContext;
import org.springframework.security.config.Customizer;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configuration.EnableWebSecurity;
import org.springframework.security.config.annotation.web.configuration.OAuth2AuthorizationServerConfiguration;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.oauth2.core.AuthorizationGrantType;
import org.springframework.security.oauth2.core.ClientAuthenticationMethod;
import org.springframework.security.oauth2.jwt.JwtClaimNames;
import org.springframework.security.oauth2.jwt.JwtDecoder;
import org.springframework.security.oauth2.server.authorization.client.InMemoryRegisteredClientRepository;
import org.springframework.security.oauth2.server.authorization.client.RegisteredClient;
import org.springframework.security.oauth2.server.authorization.client.RegisteredClientRepository;
import org.springframework.security.oauth2.server.authorization.settings.AuthorizationServerSettings;
import org.springframework.security.oauth2.server.authorization.settings.ClientSettings;
import org.springframework.security.oauth2.server.authorization.token.JwtEncodingContext;
import org.springframework.security.oauth2.server.authorization.token.OAuth2TokenCustomizer;
import org.springframework.security.web.SecurityFilterChain;

/**
 * A real authorization server on this machine, at another site than Dipstick, that insists on PKCE; it says of its people
 * what a test wants.
 */
final class SignInServiceOfTest implements AutoCloseable {
    static final String CLIENT = "dipstick";
    static final String SECRET = "a secret of two";
    static final String PASSWORD = "theirs alone";

    /** What it says of each, by the name with which they sign in there. */
    private final Map<String, Map<String, Object>> people = new ConcurrentHashMap<>();

    private final ConfigurableApplicationContext context;
    private final String issuer;

    /** @param dipstick the address that browsers come from and go back to */
    SignInServiceOfTest(int port, String dipstick) {
        this.issuer = "http://127.0.0.1:" + port;
        this.context = new SpringApplicationBuilder(Server.class)
                .web(WebApplicationType.SERVLET)
                .properties("spring.config.location=optional:classpath:/none/")
                .initializers(context -> {
                    GenericApplicationContext beans = (GenericApplicationContext) context;
                    beans.registerBean("people", SignInServiceOfTest.class, () -> this);
                    beans.registerBean("clients", RegisteredClientRepository.class, () -> client(dipstick));
                    beans.registerBean(
                            "settings",
                            AuthorizationServerSettings.class,
                            () -> AuthorizationServerSettings.builder()
                                    .issuer(issuer)
                                    .build());
                })
                .run(
                        "--server.port=" + port,
                        "--server.address=127.0.0.1",
                        "--server.servlet.session.cookie.name=THEIRS",
                        "--spring.main.banner-mode=off",
                        "--logging.level.root=warn");
    }

    String issuer() {
        return issuer;
    }

    /** From now on it knows somebody, and says this of them. */
    void says(String name, Map<String, Object> claims) {
        people.put(name, claims);
    }

    @Override
    public void close() {
        context.close();
    }

    private static RegisteredClientRepository client(String dipstick) {
        return new InMemoryRegisteredClientRepository(RegisteredClient.withId(
                        UUID.randomUUID().toString())
                .clientId(CLIENT)
                .clientSecret("{noop}" + SECRET)
                .clientAuthenticationMethod(ClientAuthenticationMethod.CLIENT_SECRET_BASIC)
                .authorizationGrantType(AuthorizationGrantType.AUTHORIZATION_CODE)
                .redirectUri(dipstick + "/api/sign-in/openid-answer")
                .postLogoutRedirectUri(dipstick + "/")
                .scope("openid")
                .scope("profile")
                .clientSettings(ClientSettings.builder().requireProofKey(true).build())
                .build());
    }

    /** No configuration by its annotations, which would make it one of Dipstick's. */
    @EnableWebSecurity
    @ImportAutoConfiguration({
        TomcatServletWebServerAutoConfiguration.class,
        DispatcherServletAutoConfiguration.class,
        WebMvcAutoConfiguration.class
    })
    static class Server {
        @Bean
        SecurityFilterChain filters(HttpSecurity http) {
            http.oauth2AuthorizationServer(server -> server.oidc(Customizer.withDefaults()));
            http.authorizeHttpRequests(requests -> requests.anyRequest().authenticated());
            http.formLogin(Customizer.withDefaults());
            return http.build();
        }

        @Bean
        JWKSource<SecurityContext> keys() throws JOSEException {
            return new ImmutableJWKSet<>(
                    new JWKSet(new RSAKeyGenerator(2048).keyID("of-test").generate()));
        }

        @Bean
        JwtDecoder decoder(JWKSource<SecurityContext> keys) {
            return OAuth2AuthorizationServerConfiguration.jwtDecoder(keys);
        }

        @Bean
        UserDetailsService users(SignInServiceOfTest service) {
            return name -> User.withUsername(name)
                    .password("{noop}" + PASSWORD)
                    .disabled(!service.people.containsKey(name))
                    .build();
        }

        @Bean
        OAuth2TokenCustomizer<JwtEncodingContext> claims(SignInServiceOfTest service) {
            return token -> token.getClaims().claims(all -> {
                all.putAll(service.people.getOrDefault(token.getPrincipal().getName(), Map.of()));
                // This server refuses its own token from before it is in force, to the nanosecond: a machine whose
                // clock is set
                // back a little would fail.
                all.remove(JwtClaimNames.NBF);
            });
        }
    }
}
