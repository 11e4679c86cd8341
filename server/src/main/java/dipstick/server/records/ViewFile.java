package dipstick.server.records;

import dipstick.core.population.Snapshot;
import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
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

    private final Path file;

    ViewFile(@Value("${dipstick.data}") String folder) {
        this.file = Path.of(folder).resolve("records.snapshot");
    }

    /** The view, if the file is of the records with this stamp. */
    synchronized Optional<Snapshot.Content> read(String stamp) {
        try {
            removeUnfinished();
            return Snapshot.read(file, stamp);
        } catch (IOException unreadable) {
            LOG.warn("{} could not be read, so the database is: {}", file, unreadable.getMessage());
            return Optional.empty();
        }
    }

    /** Writes the file without keeping anybody waiting. */
    void writeAside(String stamp, Snapshot.Content content) {
        Thread.ofVirtual().name("view-file").start(() -> write(stamp, content));
    }

    private synchronized void write(String stamp, Snapshot.Content content) {
        try {
            Snapshot.write(file, stamp, content);
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
