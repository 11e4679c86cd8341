package dipstick.server.accounts.openid;

import java.net.URI;
import java.util.List;
import java.util.Set;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * Where the practice's sign-in service is, and as what Dipstick is known to it (docs/operations.md).
 *
 * @param issuer its address, under which its discovery document is; empty where the practice has none
 * @param clientSecret empty where it gives none
 * @param label what people call it
 * @param scopes that are asked for
 */
@ConfigurationProperties("dipstick.openid")
public record OpenIdSettings(
        @DefaultValue("") String issuer,
        @DefaultValue("") String clientId,
        @DefaultValue("") String clientSecret,
        @DefaultValue("your practice’s account") String label,
        @DefaultValue({"openid", "profile"}) List<String> scopes) {
    private static final Set<String> THIS_MACHINE = Set.of("localhost", "127.0.0.1", "[::1]");

    public OpenIdSettings {
        if (!issuer.isBlank()) {
            require(isSafe(URI.create(issuer)), "issuer must begin with https:, or be on this machine.");
            require(!clientId.isBlank(), "client-id is missing: as what the service knows Dipstick.");
            require(scopes.contains("openid"), "scopes must contain openid.");
        }
    }

    private static boolean isSafe(URI issuer) {
        return "https".equals(issuer.getScheme())
                || ("http".equals(issuer.getScheme()) && THIS_MACHINE.contains(String.valueOf(issuer.getHost())));
    }

    private static void require(boolean good, String otherwise) {
        if (!good) {
            throw new IllegalArgumentException("dipstick.openid." + otherwise);
        }
    }

    public boolean isOn() {
        return !issuer.isBlank();
    }
}
