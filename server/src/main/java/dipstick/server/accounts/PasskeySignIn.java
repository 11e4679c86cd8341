package dipstick.server.accounts;

import dipstick.server.accounts.passkeys.AskedDevices;
import java.util.List;
import org.springframework.http.HttpMethod;
import org.springframework.security.authentication.AccountStatusUserDetailsChecker;
import org.springframework.security.authentication.DisabledException;
import org.springframework.security.authentication.ProviderManager;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.authentication.session.ChangeSessionIdAuthenticationStrategy;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;
import org.springframework.security.web.webauthn.authentication.PublicKeyCredentialRequestOptionsFilter;
import org.springframework.security.web.webauthn.authentication.WebAuthnAuthenticationFilter;
import org.springframework.security.web.webauthn.authentication.WebAuthnAuthenticationProvider;
import org.springframework.security.web.webauthn.management.WebAuthnRelyingPartyOperations;
import org.springframework.stereotype.Component;

/**
 * Signing in with a passkey, by the filters of Spring Security at addresses of ours: what a device is asked for, and what
 * it answers.
 */
@Component
class PasskeySignIn {
    private final WebAuthnRelyingPartyOperations operations;
    private final AskedDevices asked;
    private final AccountUsers users;
    private final SignInAnswers answers;
    private final Doors doors;

    PasskeySignIn(
            WebAuthnRelyingPartyOperations operations,
            AskedDevices asked,
            AccountUsers users,
            SignInAnswers answers,
            Doors doors) {
        this.operations = operations;
        this.asked = asked;
        this.users = users;
        this.answers = answers;
        this.doors = doors;
    }

    void addTo(HttpSecurity http) {
        PublicKeyCredentialRequestOptionsFilter options = new PublicKeyCredentialRequestOptionsFilter(operations);
        options.setRequestMatcher(
                PathPatternRequestMatcher.pathPattern(HttpMethod.POST, "/api/sign-in/passkey/options"));
        options.setRequestOptionsRepository(asked);

        WebAuthnAuthenticationFilter answer = new WebAuthnAuthenticationFilter();
        answer.setRequiresAuthenticationRequestMatcher(
                PathPatternRequestMatcher.pathPattern(HttpMethod.POST, "/api/sign-in/passkey"));
        answer.setRequestOptionsRepository(asked);
        answer.setAuthenticationManager(
                new ProviderManager(List.of(new WebAuthnAuthenticationProvider(operations, this::open))));
        answer.setSessionAuthenticationStrategy(new ChangeSessionIdAuthenticationStrategy());
        answer.setAuthenticationSuccessHandler(answers);
        answer.setAuthenticationFailureHandler(answers);

        http.addFilterBefore(answer, UsernamePasswordAuthenticationFilter.class);
        http.addFilterBefore(options, AuthorizationFilter.class);
    }

    private UserDetails open(String account) {
        UserDetails user = users.loadUserByUsername(account);
        new AccountStatusUserDetailsChecker().check(user);
        if (!doors.opensHere(account)) {
            throw new DisabledException("It signs in elsewhere");
        }
        return user;
    }
}
