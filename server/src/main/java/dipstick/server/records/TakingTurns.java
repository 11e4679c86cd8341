package dipstick.server.records;

import dipstick.server.web.Problems;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.ReadWriteLock;
import java.util.concurrent.locks.ReentrantReadWriteLock;
import java.util.function.Supplier;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * A delivery looks up once whom it means and then writes for a while; who goes on under which number does not change
 * meanwhile.
 */
@Component
public class TakingTurns {
    private static final int PATIENCE_SECONDS = 10;

    private final ReadWriteLock lock = new ReentrantReadWriteLock(true);

    /** Several deliveries may be taken at once. */
    <T> T delivering(Supplier<T> delivery) {
        lock.readLock().lock();
        try {
            return delivery.get();
        } finally {
            lock.readLock().unlock();
        }
    }

    /** Refused where a delivery takes long. */
    public <T> T joining(Supplier<T> joining) {
        if (!locked()) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "file-being-taken",
                    "A file is being taken just now. Nothing was changed; try again when it is done.");
        }
        try {
            return joining.get();
        } finally {
            lock.writeLock().unlock();
        }
    }

    private boolean locked() {
        try {
            return lock.writeLock().tryLock(PATIENCE_SECONDS, TimeUnit.SECONDS);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            return false;
        }
    }
}
