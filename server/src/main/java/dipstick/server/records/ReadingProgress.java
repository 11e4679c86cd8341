package dipstick.server.records;

import java.time.Duration;
import java.util.Optional;
import java.util.function.LongSupplier;

/** How far the reading of all records is, in words now and then, with how long the rest will take at the speed so far. */
final class ReadingProgress {
    private static final long MILLION = 1_000_000;

    private final long total;
    private final LongSupplier nanos;
    private final long start;
    private long read;

    /**
     * @param total how many records there are
     * @param nanos the time, as {@link System#nanoTime} tells it
     */
    ReadingProgress(long total, LongSupplier nanos) {
        this.total = total;
        this.nanos = nanos;
        this.start = nanos.getAsLong();
    }

    /** One more was read; something to tell after each million, but the last. */
    Optional<String> next() {
        read++;
        if (read % MILLION != 0 || read >= total) {
            return Optional.empty();
        }
        Duration soFar = Duration.ofNanos(nanos.getAsLong() - start);
        Duration rest = soFar.multipliedBy((total - read) / MILLION + 1).dividedBy(read / MILLION);
        return Optional.of("%d of %d million records are read, about %s left"
                .formatted(read / MILLION, total / MILLION, words(rest)));
    }

    private static String words(Duration rest) {
        long seconds = rest.toSeconds() + 1;
        long minutes = (seconds + 59) / 60;
        return seconds <= 60 ? "a minute" : minutes + " minutes";
    }
}
