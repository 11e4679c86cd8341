package dipstick.server.accounts;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.Authentication;
import org.springframework.security.oauth2.client.OAuth2AuthorizedClient;
import org.springframework.security.oauth2.client.web.OAuth2AuthorizedClientRepository;

/** Forgets what would open the sign-in service's other doors: who somebody is was all that was asked. */
final class NoAccessKept implements OAuth2AuthorizedClientRepository {
    // The type parameter is the interface's.
    @SuppressWarnings("TypeParameterUnusedInFormals")
    @Override
    public <T extends OAuth2AuthorizedClient> @Nullable T loadAuthorizedClient(
            String client, Authentication who, HttpServletRequest request) {
        return null;
    }

    @Override
    public void saveAuthorizedClient(
            OAuth2AuthorizedClient client,
            Authentication who,
            HttpServletRequest request,
            HttpServletResponse response) {
        // It is not kept.
    }

    @Override
    public void removeAuthorizedClient(
            String client, Authentication who, HttpServletRequest request, HttpServletResponse response) {
        // There is none.
    }
}
