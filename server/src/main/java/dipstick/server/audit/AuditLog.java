package dipstick.server.audit;

import dipstick.server.practice.Today;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;

/** Writes down what somebody did; nothing is ever changed or removed. */
@Component
public class AuditLog {
    private final AuditMapper entries;
    private final Today today;

    AuditLog(AuditMapper entries, Today today) {
        this.entries = entries;
        this.today = today;
    }

    /** Writes down an act of whoever is signed in. */
    public void record(Act act, String subject) {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        record(who == null ? "dipstick" : who.getName(), act, subject);
    }

    /** Writes down an act of somebody who is not, or not yet, signed in. */
    public void record(String account, Act act, String subject) {
        entries.insert(today.now(), account, act.name(), subject);
    }
}
