package dipstick.server.together;

import java.util.concurrent.atomic.AtomicLong;
import org.springframework.stereotype.Component;

/**
 * Numbers what colleagues are told. What is read after a number was given holds all that was told up to it, so whoever has
 * it need not read again.
 */
@Component
public class Told {
    private final AtomicLong last = new AtomicLong();

    public long last() {
        return last.get();
    }

    long next() {
        return last.incrementAndGet();
    }
}
