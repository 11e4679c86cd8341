package dipstick.server.accounts;

import dipstick.core.text.Shortened;
import dipstick.server.practice.Today;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import jakarta.servlet.http.HttpSessionEvent;
import jakarta.servlet.http.HttpSessionListener;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;

/** Who is signed in where, until they sign out or are signed out. */
@Component
class OpenSessions implements HttpSessionListener {
    private static final int LONGEST_BROWSER = 200;

    /**
     * @param handle by which its colleague names it; the session's own id is told to nobody
     * @param browser as it calls itself
     */
    record Open(String handle, String account, String address, String browser, Instant since, HttpSession session) {
        Instant lastSeen() {
            return Instant.ofEpochMilli(session.getLastAccessedTime());
        }
    }

    private final SessionSettings settings;
    private final Today today;
    private final ApplicationEventPublisher events;
    private final Map<String, Open> byId = new ConcurrentHashMap<>();

    OpenSessions(SessionSettings settings, Today today, ApplicationEventPublisher events) {
        this.settings = settings;
        this.today = today;
        this.events = events;
    }

    /** Somebody signed in with a request. */
    void began(HttpServletRequest request, String account) {
        HttpSession session = request.getSession();
        session.setMaxInactiveInterval((int) settings.idle().toSeconds());
        String browser =
                Optional.ofNullable(request.getHeader(HttpHeaders.USER_AGENT)).orElse("");
        byId.put(
                session.getId(),
                new Open(
                        UUID.randomUUID().toString(),
                        account,
                        request.getRemoteAddr(),
                        Shortened.to(LONGEST_BROWSER, browser),
                        today.now(),
                        session));
    }

    /** Whether it has lasted as long as any may. */
    boolean isOver(HttpSession session) {
        return Optional.ofNullable(byId.get(session.getId()))
                .filter(open -> open.since().plus(settings.longest()).isBefore(today.now()))
                .isPresent();
    }

    /** Whether somebody signed in in it so short a time ago. */
    boolean beganWithin(HttpSession session, Duration ago) {
        return Optional.ofNullable(byId.get(session.getId()))
                .filter(open -> open.since().plus(ago).isAfter(today.now()))
                .isPresent();
    }

    /** The latest first. */
    List<Open> of(String account) {
        return byId.values().stream()
                .filter(open -> open.account().equals(account))
                .sorted((one, other) -> other.since().compareTo(one.since()))
                .toList();
    }

    /** Ends one of an account's own; says whether there was one. */
    boolean end(String account, String handle) {
        List<Open> those = of(account).stream()
                .filter(open -> open.handle().equals(handle))
                .toList();
        those.forEach(OpenSessions::end);
        return !those.isEmpty();
    }

    @TransactionalEventListener(fallbackExecution = true)
    void after(SignedOutEverywhere everywhere) {
        of(everywhere.account()).stream()
                .filter(open ->
                        !everywhere.stays().equals(Optional.of(open.session().getId())))
                .forEach(OpenSessions::end);
    }

    private static void end(Open open) {
        try {
            open.session().invalidate();
        } catch (IllegalStateException endedMeanwhile) {
            // Which is what was wanted.
            return;
        }
    }

    @Override
    public void sessionDestroyed(HttpSessionEvent ended) {
        byId.remove(ended.getSession().getId());
        events.publishEvent(new SessionEnded(ended.getSession().getId()));
    }
}
