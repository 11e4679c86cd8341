package dipstick.server.web;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Optional;
import org.springframework.web.util.WebUtils;

/**
 * What is kept for some minutes for whoever comes back with the cookie that was given for it. Strangers ask for it too, so
 * it is in bounded memory, not in sessions.
 */
public final class CookieKept<T> {
    private static final Duration KEPT = Duration.ofMinutes(5);
    private static final int MOST_KEPT = 10_000;
    private static final int LETTERS = 26;

    private final String cookie;
    private final String path;
    private final String sameSite;
    private final Cache<String, T> kept =
            Caffeine.newBuilder().maximumSize(MOST_KEPT).expireAfterWrite(KEPT).build();

    /**
     * @param cookie its name
     * @param path under which it comes back
     * @param sameSite {@code Strict}, or {@code Lax} where another site sends the browser back (RFC 6265bis, section 5.6.7)
     */
    public CookieKept(String cookie, String path, String sameSite) {
        this.cookie = cookie;
        this.path = path;
        this.sameSite = sameSite;
    }

    /** In place of what was kept for this browser before. */
    public void put(HttpServletRequest request, HttpServletResponse response, T one) {
        forget(request);
        String name = PlainLetters.random(LETTERS);
        kept.put(name, one);
        Cookie given = new Cookie(cookie, name);
        given.setPath(path);
        given.setHttpOnly(true);
        given.setSecure(request.isSecure());
        given.setAttribute("SameSite", sameSite);
        given.setMaxAge((int) KEPT.toSeconds());
        response.addCookie(given);
    }

    public Optional<T> get(HttpServletRequest request) {
        return name(request).map(kept::getIfPresent);
    }

    public void forget(HttpServletRequest request) {
        name(request).ifPresent(kept::invalidate);
    }

    private Optional<String> name(HttpServletRequest request) {
        return Optional.ofNullable(WebUtils.getCookie(request, cookie)).map(Cookie::getValue);
    }
}
