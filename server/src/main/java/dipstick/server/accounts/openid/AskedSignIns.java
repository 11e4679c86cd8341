package dipstick.server.accounts.openid;

import dipstick.server.web.CookieKept;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.security.oauth2.client.web.AuthorizationRequestRepository;
import org.springframework.security.oauth2.core.endpoint.OAuth2AuthorizationRequest;
import org.springframework.stereotype.Component;

/**
 * With what browsers were sent to the practice's sign-in service, until they come back. The session's own cookie does not
 * come back with them: another site sends them.
 */
@Component
public class AskedSignIns implements AuthorizationRequestRepository<OAuth2AuthorizationRequest> {
    private final CookieKept<OAuth2AuthorizationRequest> asked =
            new CookieKept<>("asked-sign-in", OpenIdService.ANSWERS, "Lax");

    @Override
    public @Nullable OAuth2AuthorizationRequest loadAuthorizationRequest(HttpServletRequest request) {
        return sameState(request).orElse(null);
    }

    /** @param one null where it is to be forgotten */
    @Override
    public void saveAuthorizationRequest(
            @Nullable OAuth2AuthorizationRequest one, HttpServletRequest request, HttpServletResponse response) {
        Optional.ofNullable(one)
                .ifPresentOrElse(asking -> asked.put(request, response, asking), () -> asked.forget(request));
    }

    /** It is good once. */
    @Override
    public @Nullable OAuth2AuthorizationRequest removeAuthorizationRequest(
            HttpServletRequest request, HttpServletResponse response) {
        Optional<OAuth2AuthorizationRequest> one = sameState(request);
        one.ifPresent(_ -> asked.forget(request));
        return one.orElse(null);
    }

    private Optional<OAuth2AuthorizationRequest> sameState(HttpServletRequest request) {
        return asked.get(request)
                .filter(one ->
                        Optional.ofNullable(one.getState()).equals(Optional.ofNullable(request.getParameter("state"))));
    }
}
