package dipstick.server.upkeep;

import dipstick.server.database.DatabaseKey;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.springframework.util.FileSystemUtils;

/** A backup: the database as it was at one moment, as the database itself packs it (a ZIP file). */
final class BackupFile {
    private BackupFile() {}

    /** What is in a backup that was opened. */
    record Counted(int version, long people, long records, long sets, long readings, long accounts) {
        String words() {
            return people + " people, " + records + " records, " + sets + " sets, " + readings + " readings, "
                    + accounts + " accounts";
        }
    }

    /** Writes one while the database is used. */
    static void write(Connection connection, Path to) throws SQLException {
        try (PreparedStatement backup = connection.prepareStatement("BACKUP TO ?")) {
            backup.setString(1, to.toAbsolutePath().toString());
            backup.execute();
        }
    }

    /** Opens it in a folder of its own and counts what is there. */
    static Counted verify(Path file, Path besides, DatabaseKey key) throws IOException, SQLException {
        return open(file, besides, key, BackupFile::counted);
    }

    /** What is done with the database of a backup. */
    interface Use<T> {
        T of(Connection database) throws IOException, SQLException;
    }

    /** @param besides in which a folder of its own is made for as long */
    static <T> T open(Path file, Path besides, DatabaseKey key, Use<T> use) throws IOException, SQLException {
        Path folder = Files.createTempDirectory(besides, "verifying");
        try {
            unpack(file, folder);
            DataFolder unpacked = new DataFolder(folder, key);
            try (Connection connection = unpacked.open()) {
                return use.of(connection);
            } catch (SQLException failure) {
                if (unpacked.isAboutKey(failure)) {
                    throw new CannotStart(
                            file
                                    + " does not open with the key that was given, or needs one. Give the key of the database as "
                                    + DatabaseKey.SETTING + " or " + DatabaseKey.SETTING
                                    + "-file; nothing was changed.",
                            failure);
                }
                throw failure;
            }
        } finally {
            FileSystemUtils.deleteRecursively(folder);
        }
    }

    /** Takes the database alone out of it, whatever else somebody put in. */
    static void unpack(Path file, Path folder) throws IOException {
        try (InputStream in = Files.newInputStream(file);
                ZipInputStream zip = new ZipInputStream(in)) {
            ZipEntry entry = zip.getNextEntry();
            while (entry != null && !entry.getName().equals(DataFolder.DATABASE)) {
                entry = zip.getNextEntry();
            }
            if (entry == null) {
                throw new IOException("There is no database in " + file);
            }
            Path part = folder.resolve(DataFolder.DATABASE + ".part");
            try (OutputStream out = Files.newOutputStream(part)) {
                zip.transferTo(out);
            }
            Files.move(part, folder.resolve(DataFolder.DATABASE), StandardCopyOption.ATOMIC_MOVE);
        }
    }

    static Counted counted(Connection connection) throws SQLException {
        return new Counted(
                DataFolder.version(connection),
                count(connection, "person"),
                count(connection, "event"),
                count(connection, "criteria_set"),
                count(connection, "reading"),
                count(connection, "account"));
    }

    private static long count(Connection connection, String table) throws SQLException {
        try (var statement = connection.createStatement();
                ResultSet found = statement.executeQuery("SELECT COUNT(*) FROM " + table)) {
            found.next();
            return found.getLong(1);
        }
    }
}
