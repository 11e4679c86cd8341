package dipstick.server.together;

import dipstick.server.practice.Today;
import java.util.concurrent.atomic.AtomicLong;
import org.springframework.stereotype.Component;

/**
 * Numbers what colleagues are told. What is read after a number was given holds all that was told up to it, so whoever has
 * it need not read again.
 */
@Component
public class Told {
    /** The numbers of one run of the server come after those of all before. */
    private final AtomicLong last;

    Told(Today today) {
        last = new AtomicLong(today.now().toEpochMilli());
    }

    public long last() {
        return last.get();
    }

    long next() {
        return last.incrementAndGet();
    }
}
