package dipstick.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import org.flywaydb.core.Flyway;

/** A database as a server would make it at its first start, made once: each migration takes its time. */
final class NewDatabase {
    private static final String FILE = "records.mv.db";

    private static Path made;

    private NewDatabase() {}

    /** Puts one into the folder of a server that is new; any other, and where no server can start, stays as it is. */
    static synchronized void putInto(Path data) {
        try {
            if (isNew(data)) {
                Files.createDirectories(data);
                Files.copy(made(), data.resolve(FILE));
                stamp(data);
            }
        } catch (IOException failed) {
            throw new UncheckedIOException("No database can be put into " + data, failed);
        }
    }

    private static boolean isNew(Path data) throws IOException {
        if (!Files.exists(data)) {
            return Files.isDirectory(data.toAbsolutePath().getParent());
        }
        try (var files = Files.list(data)) {
            return files.findAny().isEmpty();
        }
    }

    private static Path made() throws IOException {
        if (made == null) {
            Path folder = Files.createTempDirectory(Path.of("target").toAbsolutePath(), "new-database");
            Flyway.configure().dataSource(url(folder), "dipstick", "").load().migrate();
            made = folder.resolve(FILE);
        }
        return made;
    }

    /** The records of two databases are never the same state. */
    private static void stamp(Path data) {
        try (Connection database = DriverManager.getConnection(url(data), "dipstick", "");
                Statement sql = database.createStatement()) {
            sql.executeUpdate("UPDATE records_stamp SET stamp = RANDOM_UUID()");
        } catch (SQLException failed) {
            throw new IllegalStateException("The database in " + data + " cannot be used", failed);
        }
    }

    private static String url(Path data) {
        return "jdbc:h2:file:" + data.resolve("records").toAbsolutePath();
    }
}
