package dipstick.server.upkeep;

import dipstick.server.database.DatabaseKey;
import dipstick.server.practice.PracticeSettings;
import dipstick.server.practice.Today;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;

/** Takes backups while everything goes on, by itself and when asked; each is opened and counted before it counts as one. */
@Service
class Backups {
    private static final Logger LOG = LoggerFactory.getLogger(Backups.class);

    private static final String BEGINNING = "dipstick-";
    private static final String ENDING = ".zip";
    private static final DateTimeFormatter NAME = DateTimeFormatter.ofPattern("uuuu-MM-dd-HHmmss");

    /** One a day is taken by itself, and a server may be off at night; after so long something is amiss. */
    private static final Duration STALE = Duration.ofHours(36);

    /** @param file its name */
    record Kept(String file, long bytes, Instant at) {}

    private final BackupSettings settings;
    private final Path data;
    private final DataSource database;
    private final Today today;
    private final Room room;
    private final DatabaseKey key;
    private volatile String problem = "";

    Backups(
            BackupSettings settings,
            PracticeSettings practice,
            DataSource database,
            Today today,
            Room room,
            DatabaseKey key) {
        this.settings = settings;
        this.data = practice.data();
        this.database = database;
        this.today = today;
        this.room = room;
        this.key = key;
    }

    Path folder() {
        return settings.folder().isBlank() ? data.resolve(DataFolder.BACKUPS) : Path.of(settings.folder());
    }

    /** Why the last one by itself came to nothing; empty where it did not. */
    String problem() {
        return problem;
    }

    /** The newest first. */
    List<Kept> kept() {
        try (Stream<Path> files = Files.isDirectory(folder()) ? Files.list(folder()) : Stream.empty()) {
            return files.filter(Backups::isOne)
                    .map(Backups::kept)
                    .sorted(Comparator.comparing(Kept::file).reversed())
                    .toList();
        } catch (IOException unreadable) {
            LOG.warn("The folder of the backups cannot be read", unreadable);
            return List.of();
        }
    }

    private static boolean isOne(Path file) {
        String name = file.getFileName().toString();
        return name.startsWith(BEGINNING) && name.endsWith(ENDING);
    }

    private static Kept kept(Path file) {
        try {
            return new Kept(
                    file.getFileName().toString(),
                    Files.size(file),
                    Files.getLastModifiedTime(file).toInstant());
        } catch (IOException gone) {
            throw new UncheckedIOException("The backup " + file + " went away", gone);
        }
    }

    @Scheduled(cron = "${dipstick.backup.at}", zone = "${dipstick.zone:}")
    void byItself() {
        try {
            take();
            problem = "";
        } catch (IOException | SQLException failure) {
            LOG.error("No backup was taken", failure);
            problem = "The last backup by itself came to nothing: " + failure.getMessage();
        }
    }

    /** One more, and the oldest away that are more than are kept. */
    synchronized BackupFile.Counted take() throws IOException, SQLException {
        if (room.isOver()) {
            throw new IOException("There is no room for it on the disk.");
        }
        Files.createDirectories(folder());
        Path file = folder().resolve(BEGINNING + NAME.format(today.now().atZone(today.zone())) + ENDING);
        Path part = folder().resolve(file.getFileName() + ".part");
        try {
            write(part);
            BackupFile.Counted counted = BackupFile.verify(part, folder(), key);
            Files.move(part, file, StandardCopyOption.ATOMIC_MOVE);
            for (Kept old : kept().stream().skip(Math.max(1, settings.keep())).toList()) {
                Files.deleteIfExists(folder().resolve(old.file()));
            }
            return counted;
        } finally {
            Files.deleteIfExists(part);
        }
    }

    /** Writes one to a file, unopened yet. */
    void write(Path to) throws SQLException {
        try (Connection connection = database.getConnection()) {
            BackupFile.write(connection, to);
        }
    }

    Optional<Kept> last() {
        return kept().stream().findFirst();
    }

    /** Whether it is so old that one must have come to nothing since. */
    boolean isStale(Kept one) {
        return one.at().plus(STALE).isBefore(today.now());
    }
}
