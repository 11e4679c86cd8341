package dipstick.server.web;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicBoolean;
import org.springframework.stereotype.Component;

/** Questions that are being answered, by the names that their browsers gave them, so that a browser can give one up. */
@Component
class OpenQuestions {
    static final String NAME = "Question";
    static final int LONGEST_NAME = 40;

    private static final int MOST_KEPT = 10_000;
    private static final Duration KEPT = Duration.ofMinutes(10);

    private final Cache<String, AtomicBoolean> givenUp =
            Caffeine.newBuilder().maximumSize(MOST_KEPT).expireAfterWrite(KEPT).build();

    /** Whether a question was given up: false from its beginning on, until it is. */
    AtomicBoolean began(HttpServletRequest request) {
        AtomicBoolean given = new AtomicBoolean();
        key(request, name(request)).ifPresent(key -> givenUp.put(key, given));
        return given;
    }

    void ended(HttpServletRequest request) {
        key(request, name(request)).ifPresent(givenUp::invalidate);
    }

    /** Nothing happens where it is answered already, or is another browser's. */
    void giveUp(HttpServletRequest request, String name) {
        key(request, name).map(givenUp::getIfPresent).ifPresent(given -> given.set(true));
    }

    private static String name(HttpServletRequest request) {
        return Optional.ofNullable(request.getHeader(NAME)).orElse("");
    }

    /** A name is one within a session. */
    private static Optional<String> key(HttpServletRequest request, String name) {
        return Optional.ofNullable(request.getSession(false))
                .filter(_ -> !name.isBlank() && name.length() <= LONGEST_NAME)
                .map(session -> session.getId() + " " + name);
    }
}
