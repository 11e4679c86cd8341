package dipstick.server.accounts;

import dipstick.server.practice.Today;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Slows the guessing of passwords: after a few wrong ones a name has to wait. */
@Component
class SignInThrottle {
    private static final int FREE_TRIES = 5;
    private static final Duration WAIT = Duration.ofMinutes(1);

    /** Only so many names are remembered, so that made-up names cannot fill the memory. */
    private static final int MOST_NAMES = 10_000;

    private record Failures(int count, Instant last) {}

    private final Today today;
    private final Map<String, Failures> failures = new LinkedHashMap<>() {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Failures> eldest) {
            return size() > MOST_NAMES;
        }
    };

    SignInThrottle(Today today) {
        this.today = today;
    }

    synchronized boolean mustWait(String name) {
        Failures known = failures.get(name);
        return known != null
                && known.count() >= FREE_TRIES
                && known.last().plus(WAIT).isAfter(today.now());
    }

    synchronized void failed(String name) {
        int count = failures.containsKey(name) ? failures.get(name).count() : 0;
        failures.put(name, new Failures(count + 1, today.now()));
    }

    synchronized void succeeded(String name) {
        failures.remove(name);
    }
}
