package dipstick.server.records;

import dipstick.core.population.Snapshot;
import dipstick.server.database.DatabaseKey;
import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * The view of the records in a file beside the database, so that a start does not read every row again. It is derived:
 * where it is missing, damaged or of other records the database is read, and removing it loses nothing.
 */
@Component
class ViewFile {
    private static final Logger LOG = LoggerFactory.getLogger(ViewFile.class);

    private static final Duration A_WHILE = Duration.ofMinutes(1);

    private final Path file;
    private final Optional<Snapshot.Envelope> envelope;
    private final AtomicReference<Optional<Unwritten>> latest = new AtomicReference<>(Optional.empty());

    private record Unwritten(String stamp, Snapshot.Content content) {}

    ViewFile(@Value("${dipstick.data}") String folder, DatabaseKey key) {
        this.envelope = key.envelope();
        this.file = Path.of(folder).resolve("records.snapshot");
    }

    /** The view, if the file is of the records with this stamp. */
    synchronized Optional<Snapshot.Content> read(String stamp) {
        try {
            removeUnfinished();
            return Snapshot.read(file, stamp, envelope);
        } catch (IOException unreadable) {
            LOG.warn("{} could not be read, so the database is: {}", file, unreadable.getMessage());
            return Optional.empty();
        }
    }

    /** Writes the file without keeping anybody waiting. */
    void writeAside(String stamp, Snapshot.Content content) {
        latest.set(Optional.of(new Unwritten(stamp, content)));
        Thread.ofVirtual().name("view-file").start(this::writeLatest);
    }

    /** Writes the file when a while has gone by, or at the end: small changes often follow one another. */
    void writeLater(String stamp, Snapshot.Content content) {
        if (latest.getAndSet(Optional.of(new Unwritten(stamp, content))).isEmpty()) {
            CompletableFuture.delayedExecutor(A_WHILE.toSeconds(), TimeUnit.SECONDS)
                    .execute(this::writeLatest);
        }
    }

    /** Writes what is still to be written, and waits for what is being written. */
    void finish() {
        writeLatest();
    }

    /** In one piece, so that nobody who waits for it finds that it was taken but is not written yet. */
    private synchronized void writeLatest() {
        latest.getAndSet(Optional.empty()).ifPresent(this::write);
    }

    private void write(Unwritten view) {
        try {
            Snapshot.write(file, view.stamp(), view.content(), envelope);
        } catch (IOException unwritable) {
            LOG.warn("{} could not be written; the next start reads the database: {}", file, unwritable.getMessage());
        }
    }

    /** What a stop in the middle of writing left. */
    private void removeUnfinished() throws IOException {
        Path folder = file.toAbsolutePath().getParent();
        if (Files.isDirectory(folder)) {
            try (DirectoryStream<Path> left = Files.newDirectoryStream(folder, "snapshot*.part")) {
                for (Path part : left) {
                    Files.delete(part);
                }
            }
        }
    }
}
