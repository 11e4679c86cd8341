package dipstick.server.accounts.passkeys;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dipstick.server.web.PlainLetters;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialRequestOptions;
import org.springframework.security.web.webauthn.authentication.PublicKeyCredentialRequestOptionsRepository;
import org.springframework.stereotype.Component;
import org.springframework.web.util.WebUtils;

/**
 * What devices were asked to sign, until they do. Strangers ask too, so it is kept in bounded memory for some minutes, not
 * in sessions.
 */
@Component
public class AskedDevices implements PublicKeyCredentialRequestOptionsRepository {
    private static final String COOKIE = "asked-device";
    private static final Duration KEPT = Duration.ofMinutes(5);
    private static final int MOST_KEPT = 10_000;
    private static final int LETTERS = 26;

    private final Cache<String, PublicKeyCredentialRequestOptions> asked =
            Caffeine.newBuilder().maximumSize(MOST_KEPT).expireAfterWrite(KEPT).build();

    /** @param options null once they were answered: they are good once */
    @Override
    public void save(
            HttpServletRequest request,
            HttpServletResponse response,
            @Nullable PublicKeyCredentialRequestOptions options) {
        name(request).ifPresent(asked::invalidate);
        Optional.ofNullable(options).ifPresent(one -> {
            String name = PlainLetters.random(LETTERS);
            asked.put(name, one);
            response.addCookie(cookie(name, request.isSecure()));
        });
    }

    private static Cookie cookie(String name, boolean secure) {
        Cookie cookie = new Cookie(COOKIE, name);
        cookie.setPath("/api/sign-in");
        cookie.setHttpOnly(true);
        cookie.setSecure(secure);
        cookie.setAttribute("SameSite", "Strict");
        cookie.setMaxAge((int) KEPT.toSeconds());
        return cookie;
    }

    @Override
    public @Nullable PublicKeyCredentialRequestOptions load(HttpServletRequest request) {
        return name(request).map(asked::getIfPresent).orElse(null);
    }

    private static Optional<String> name(HttpServletRequest request) {
        return Optional.ofNullable(WebUtils.getCookie(request, COOKIE)).map(Cookie::getValue);
    }
}
