package dipstick.server.accounts.passkeys;

import dipstick.server.web.CookieKept;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialRequestOptions;
import org.springframework.security.web.webauthn.authentication.PublicKeyCredentialRequestOptionsRepository;
import org.springframework.stereotype.Component;

/** What devices were asked to sign, until they do. */
@Component
public class AskedDevices implements PublicKeyCredentialRequestOptionsRepository {
    private final CookieKept<PublicKeyCredentialRequestOptions> asked =
            new CookieKept<>("asked-device", "/api/sign-in", "Strict");

    /** @param options null once they were answered: they are good once */
    @Override
    public void save(
            HttpServletRequest request,
            HttpServletResponse response,
            @Nullable PublicKeyCredentialRequestOptions options) {
        Optional.ofNullable(options)
                .ifPresentOrElse(one -> asked.put(request, response, one), () -> asked.forget(request));
    }

    @Override
    public @Nullable PublicKeyCredentialRequestOptions load(HttpServletRequest request) {
        return asked.get(request).orElse(null);
    }
}
