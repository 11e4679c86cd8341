package dipstick.server.audit;

import dipstick.server.practice.Today;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;

/** Writes down what somebody did; nothing is ever changed or removed. */
@Component
public class AuditLog {
    private static final Duration AGAIN = Duration.ofMinutes(10);

    private final AuditMapper entries;
    private final Today today;
    private final Map<String, Instant> lastRead = new ConcurrentHashMap<>();

    AuditLog(AuditMapper entries, Today today) {
        this.entries = entries;
        this.today = today;
    }

    /** Writes down an act of whoever is signed in. */
    public void record(Act act, String subject) {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        record(who == null ? "dipstick" : who.getName(), act, subject);
    }

    /**
     * Writes down that whoever is signed in reads something that their page then keeps up to date by itself: once for
     * what is read again within ten minutes.
     */
    public void recordOnce(Act act, String subject) {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        Instant now = today.now();
        String key = who.getName() + " " + act + " " + subject;
        boolean isNew = !lastRead.getOrDefault(key, Instant.EPOCH).plus(AGAIN).isAfter(now);
        if (isNew) {
            lastRead.values().removeIf(at -> at.plus(AGAIN).isBefore(now));
            lastRead.put(key, now);
            record(who.getName(), act, subject);
        }
    }

    /** Writes down an act of somebody who is not, or not yet, signed in. */
    public void record(String account, Act act, String subject) {
        entries.insert(today.now(), account, act.name(), subject);
    }
}
