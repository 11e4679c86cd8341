package dipstick.server.accounts.openid;

import java.net.URI;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.security.oauth2.client.registration.ClientRegistration;
import org.springframework.security.oauth2.client.registration.ClientRegistrationRepository;
import org.springframework.security.oauth2.client.registration.ClientRegistrations;
import org.springframework.security.oauth2.core.ClientAuthenticationMethod;
import org.springframework.stereotype.Component;

/**
 * The practice's sign-in service as it describes itself (OpenID Connect Discovery 1.0), asked when somebody first signs in:
 * Dipstick starts, and the emergency account gets in, while it is away.
 */
@Component
public class OpenIdService implements ClientRegistrationRepository {
    /** There is one service only. */
    public static final String NAME = "service";

    /** Where a browser begins to sign in there, {@link #NAME} after it. */
    public static final String BEGINS = "/api/sign-in/openid";

    /** Where the service sends the browser back to. */
    public static final String ANSWERS = "/api/sign-in/openid-answer";

    /** So soon after it was away nobody waits for it again. */
    private static final Duration AWAY_FOR = Duration.ofSeconds(5);

    private final OpenIdSettings settings;
    private final URI publicAddress;
    private Optional<ClientRegistration> described = Optional.empty();
    private Instant awaySince = Instant.MIN;

    OpenIdService(OpenIdSettings settings, @Value("${dipstick.public-address}") URI publicAddress) {
        this.settings = settings;
        this.publicAddress = publicAddress;
    }

    /** Where a browser is sent to once it signed out there. */
    public String afterSigningOut() {
        return publicAddress + "/";
    }

    /** The service is away, or what it says of itself is not to be used. */
    public static final class Away extends RuntimeException {
        private static final long serialVersionUID = 1L;

        Away(@Nullable Throwable cause) {
            super("The sign-in service does not describe itself", cause);
        }
    }

    @Override
    public @Nullable ClientRegistration findByRegistrationId(String name) {
        return name.equals(NAME) ? described() : null;
    }

    private synchronized ClientRegistration described() {
        if (described.isEmpty()) {
            if (awaySince.plus(AWAY_FOR).isAfter(Instant.now())) {
                throw new Away(null);
            }
            try {
                described = Optional.of(ask());
            } catch (RuntimeException failure) {
                awaySince = Instant.now();
                throw new Away(failure);
            }
        }
        return described.get();
    }

    private ClientRegistration ask() {
        ClientRegistration.Builder asked = ClientRegistrations.fromIssuerLocation(settings.issuer())
                .registrationId(NAME)
                .clientId(settings.clientId())
                .redirectUri(publicAddress + ANSWERS)
                .scope(settings.scopes());
        return settings.clientSecret().isEmpty()
                ? asked.clientAuthenticationMethod(ClientAuthenticationMethod.NONE)
                        .build()
                : asked.clientSecret(settings.clientSecret()).build();
    }
}
