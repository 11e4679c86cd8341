package dipstick.server.accounts;

import dipstick.server.accounts.openid.OpenIdService;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.Authentication;
import org.springframework.security.oauth2.client.oidc.web.logout.OidcClientInitiatedLogoutSuccessHandler;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * What follows signing out: nothing, or where the browser signs out at the practice's service too (OpenID Connect
 * RP-Initiated Logout 1.0).
 */
@Component
class SignOutAnswer extends OidcClientInitiatedLogoutSuccessHandler {
    private final JsonMapper json;

    /** @param next the address of the service to which the browser goes on */
    record GoOn(String next) {}

    SignOutAnswer(OpenIdService service, JsonMapper json) {
        super(service);
        this.json = json;
        setPostLogoutRedirectUri(service.afterSigningOut());
    }

    @Override
    public void onLogoutSuccess(HttpServletRequest request, HttpServletResponse response, @Nullable Authentication who)
            throws IOException {
        String next = determineTargetUrl(request, response, who);
        if (next.equals(getDefaultTargetUrl())) {
            response.setStatus(HttpStatus.NO_CONTENT.value());
            return;
        }
        response.setContentType(MediaType.APPLICATION_JSON_VALUE);
        response.getOutputStream().write(json.writeValueAsBytes(new GoOn(next)));
    }
}
