package dipstick.server.accounts;

import dipstick.server.accounts.openid.AskedSignIns;
import dipstick.server.accounts.openid.Claims;
import dipstick.server.accounts.openid.OpenIdService;
import dipstick.server.accounts.openid.OpenIdSettings;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.client.SimpleClientHttpRequestFactory;
import org.springframework.http.converter.FormHttpMessageConverter;
import org.springframework.security.config.ObjectPostProcessor;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.oauth2.client.endpoint.RestClientAuthorizationCodeTokenResponseClient;
import org.springframework.security.oauth2.client.http.OAuth2ErrorResponseErrorHandler;
import org.springframework.security.oauth2.client.oidc.userinfo.OidcUserRequest;
import org.springframework.security.oauth2.client.oidc.userinfo.OidcUserService;
import org.springframework.security.oauth2.client.userinfo.DefaultOAuth2UserService;
import org.springframework.security.oauth2.client.userinfo.OAuth2UserService;
import org.springframework.security.oauth2.client.web.OAuth2AuthorizationRequestRedirectFilter;
import org.springframework.security.oauth2.core.OAuth2AuthenticationException;
import org.springframework.security.oauth2.core.http.converter.OAuth2AccessTokenResponseHttpMessageConverter;
import org.springframework.security.oauth2.core.oidc.user.OidcUser;
import org.springframework.stereotype.Component;
import org.springframework.web.client.ResourceAccessException;
import org.springframework.web.client.RestClient;
import org.springframework.web.client.RestTemplate;

/**
 * Signing in at the practice's own service: OpenID Connect Core 1.0 with an authorization code and PKCE (RFC 7636), by the
 * filters of Spring Security at addresses of ours.
 */
@Component
class OpenIdSignIn {
    private static final Logger LOG = LoggerFactory.getLogger(OpenIdSignIn.class);

    /** No thread of ours waits longer for a service that does not answer. */
    private static final Duration LONGEST_WAIT = Duration.ofSeconds(10);

    private static final Pattern PLAIN_CODE = Pattern.compile("[a-z_]{1,60}");

    private final OpenIdSettings settings;
    private final OpenIdService service;
    private final AskedSignIns asked;
    private final OpenIdAccounts accounts;
    private final SignInAnswers answers;
    private final AuditLog audit;

    OpenIdSignIn(
            OpenIdSettings settings,
            OpenIdService service,
            AskedSignIns asked,
            OpenIdAccounts accounts,
            SignInAnswers answers,
            AuditLog audit) {
        this.settings = settings;
        this.service = service;
        this.asked = asked;
        this.accounts = accounts;
        this.answers = answers;
        this.audit = audit;
    }

    void addTo(HttpSecurity http) {
        if (!settings.isOn()) {
            return;
        }
        http.oauth2Login(login -> login.loginPage("/")
                .clientRegistrationRepository(service)
                .authorizedClientRepository(new NoAccessKept())
                .authorizationEndpoint(
                        begin -> begin.baseUri(OpenIdService.BEGINS).authorizationRequestRepository(asked))
                .redirectionEndpoint(answer -> answer.baseUri(OpenIdService.ANSWERS))
                .tokenEndpoint(token -> token.accessTokenResponseClient(tokens()))
                .userInfoEndpoint(info -> info.oidcUserService(whoCame()))
                .successHandler(this::succeeded)
                .failureHandler(this::failed)
                .withObjectPostProcessor(new ObjectPostProcessor<OAuth2AuthorizationRequestRedirectFilter>() {
                    @Override
                    public <F extends OAuth2AuthorizationRequestRedirectFilter> F postProcess(F begin) {
                        begin.setAuthenticationFailureHandler(OpenIdSignIn.this::failed);
                        return begin;
                    }
                }));
    }

    private static RestClientAuthorizationCodeTokenResponseClient tokens() {
        RestClientAuthorizationCodeTokenResponseClient tokens = new RestClientAuthorizationCodeTokenResponseClient();
        tokens.setRestClient(RestClient.builder()
                .requestFactory(patient())
                .configureMessageConverters(converters -> {
                    converters.addCustomConverter(new FormHttpMessageConverter());
                    converters.addCustomConverter(new OAuth2AccessTokenResponseHttpMessageConverter());
                })
                .defaultStatusHandler(new OAuth2ErrorResponseErrorHandler())
                .build());
        return tokens;
    }

    private static SimpleClientHttpRequestFactory patient() {
        SimpleClientHttpRequestFactory requests = new SimpleClientHttpRequestFactory();
        requests.setConnectTimeout(LONGEST_WAIT);
        requests.setReadTimeout(LONGEST_WAIT);
        return requests;
    }

    private WhoCame whoCame() {
        RestTemplate requests = new RestTemplate(patient());
        requests.setErrorHandler(new OAuth2ErrorResponseErrorHandler());
        DefaultOAuth2UserService info = new DefaultOAuth2UserService();
        info.setRestOperations(requests);
        OidcUserService users = new OidcUserService();
        users.setOauth2UserService(info);
        return new WhoCame(users, accounts);
    }

    /** Whoever the service vouches for, as the account that they have here. */
    private record WhoCame(OidcUserService users, OpenIdAccounts accounts)
            implements OAuth2UserService<OidcUserRequest, OidcUser> {
        @Override
        public OidcUser loadUser(OidcUserRequest request) {
            OidcUser there = users.loadUser(request);
            Account here = accounts.came(there.getSubject(), new Claims(there.getClaims()));
            return new OpenIdUser(here, there.getIdToken());
        }
    }

    private void succeeded(HttpServletRequest request, HttpServletResponse response, Authentication who)
            throws IOException {
        answers.onAuthenticationSuccess(request, response, who);
        response.sendRedirect("/");
    }

    private void failed(HttpServletRequest request, HttpServletResponse response, AuthenticationException failure)
            throws IOException {
        OpenIdRefused.Why why = why(failure);
        String word = why.name().toLowerCase(Locale.ROOT).replace('_', '-');
        String said = code(failure).map(code -> " (" + code + ")").orElse("");
        audit.recordOnce(
                "nobody", Act.SIGN_IN_REFUSED, "by OpenID Connect: " + word + said, SignInAnswers.REFUSED_AGAIN);
        if (why == OpenIdRefused.Why.AWAY || why == OpenIdRefused.Why.NOT_VOUCHED_FOR) {
            LOG.warn("Signing in by OpenID Connect failed{}: {}", said, causes(failure));
        }
        response.sendRedirect("/?refused=" + word);
    }

    private static OpenIdRefused.Why why(AuthenticationException failure) {
        if (failure instanceof OpenIdRefused refused) {
            return refused.why();
        }
        boolean isAway = chain(failure)
                .anyMatch(cause -> cause instanceof OpenIdService.Away || cause instanceof ResourceAccessException);
        return isAway ? OpenIdRefused.Why.AWAY : OpenIdRefused.Why.NOT_VOUCHED_FOR;
    }

    /** The code of what went wrong (RFC 6749, section 5.2, and the filters' own); one that is no plain word is not repeated. */
    private static Optional<String> code(AuthenticationException failure) {
        return chain(failure)
                .filter(OAuth2AuthenticationException.class::isInstance)
                .map(cause -> ((OAuth2AuthenticationException) cause).getError().getErrorCode())
                .filter(code -> PLAIN_CODE.matcher(code).matches())
                .findFirst();
    }

    /** What went wrong by its kind alone: its words may have come from the browser. */
    private static String causes(Throwable failure) {
        return chain(failure)
                .map(cause -> cause.getClass().getSimpleName())
                .toList()
                .toString();
    }

    private static Stream<Throwable> chain(Throwable failure) {
        return Stream.iterate(failure, one -> one != null, Throwable::getCause);
    }
}
