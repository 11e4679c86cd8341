package dipstick.server.audit;

import dipstick.server.practice.Today;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;

/** Writes down what somebody did; nothing is ever changed ({@link AuditChain}). */
@Component
public class AuditLog {
    /** The attribute of a request that a program made, with the id of the token that it showed. */
    public static final String BY_TOKEN = AuditLog.class.getName() + ".token";

    private static final Duration AGAIN = Duration.ofMinutes(10);

    private final AuditMapper entries;
    private final Today today;
    /** Until when what was done is not written down again. */
    private final Map<String, Instant> lastDone = new ConcurrentHashMap<>();

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
        recordOnce(SecurityContextHolder.getContext().getAuthentication().getName(), act, subject, AGAIN);
    }

    /** Writes down an act of somebody who need not be signed in, once for what they do again within a time. */
    public void recordOnce(String account, Act act, String subject, Duration within) {
        Instant now = today.now();
        String key = account + " " + act + " " + subject;
        boolean isNew = lastDone.getOrDefault(key, Instant.EPOCH).isBefore(now);
        if (isNew) {
            lastDone.values().removeIf(until -> until.isBefore(now));
            lastDone.put(key, now.plus(within));
            record(account, act, subject);
        }
    }

    /** Writes down an act of somebody who is not, or not yet, signed in. */
    public void record(String account, Act act, String subject) {
        entries.insert(today.now(), account, act.name(), subject, AskedFrom.here());
    }
}
