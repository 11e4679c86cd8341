package dipstick.server.upkeep;

import dipstick.server.database.DatabaseKey;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.flywaydb.core.Flyway;

/** The folder in which everything is kept, as it is before anything is started over it. */
record DataFolder(Path path, DatabaseKey key) {
    static final String DATABASE = "records.mv.db";
    static final String BACKUPS = "backups";

    private static final String USER = "dipstick";

    /** H2's code for a database that another process has open. */
    private static final int IN_USE = 90_020;

    /** H2's code for a file that does not open with a key. */
    private static final int WRONG_KEY = 90_049;

    private static final String ENCRYPTED = "H2encrypt";

    private static final String SNAPSHOT = "records.snapshot";

    /** Which the operating system's other people can neither look into nor change. */
    private static final Set<PosixFilePermission> OWN_FOLDER = PosixFilePermissions.fromString("rwx------");

    private static final Set<PosixFilePermission> OWN_FILE = PosixFilePermissions.fromString("rw-------");

    /**
     * The key of the database; refused where it cannot be one.
     *
     * @param settings gives what is set under a name, empty for nothing
     */
    static DatabaseKey key(UnaryOperator<String> settings) {
        try {
            return DatabaseKey.of(settings);
        } catch (IllegalArgumentException wrong) {
            throw new CannotStart(wrong.getMessage(), wrong);
        }
    }

    Path database() {
        return path.resolve(DATABASE);
    }

    Path backups() {
        return path.resolve(BACKUPS);
    }

    boolean hasDatabase() {
        return Files.exists(database());
    }

    private static String url(Path folder) {
        return "jdbc:h2:file:" + folder.resolve("records").toAbsolutePath() + ";TRACE_LEVEL_FILE=0";
    }

    /**
     * Refuses what a server cannot or must not start over, in one sentence each, and makes the folder this account's own.
     *
     * @param newest the latest version of the database that this Dipstick knows
     */
    void prepare(int newest) {
        try {
            Files.createDirectories(path);
            removeLeftovers();
            keepToOneself();
        } catch (IOException unwritable) {
            throw unwritable(unwritable);
        }
        if (!Files.isWritable(path) || (hasDatabase() && !Files.isWritable(database()))) {
            throw unwritable(new IOException("not writable"));
        }
        if (hasDatabase()) {
            int version = version();
            if (version > newest) {
                throw new CannotStart("The database in " + path + " was made by a later Dipstick (version " + version
                        + ", this one knows " + newest + "). Start that one, or restore a backup into an empty folder;"
                        + " nothing was changed.");
            }
        } else if (holdsMoreThanNothing()) {
            throw new CannotStart("There is no database in " + path + ", but a snapshot or backups of one. Restore a"
                    + " backup with “dipstick restore FILE”, or start over an empty folder; nothing was changed.");
        }
    }

    private CannotStart unwritable(IOException why) {
        return new CannotStart(
                "The folder " + path + " cannot be written in. Give it to the account that Dipstick runs as, or name"
                        + " another with --data.",
                why);
    }

    private boolean holdsMoreThanNothing() {
        if (Files.exists(path.resolve(SNAPSHOT))) {
            return true;
        }
        try (Stream<Path> files = Files.isDirectory(backups()) ? Files.list(backups()) : Stream.empty()) {
            return files.findAny().isPresent();
        } catch (IOException unreadable) {
            throw unwritable(unreadable);
        }
    }

    /** What a backup left that was killed in the middle, and what earlier versions wrote of failed statements, values too. */
    private void removeLeftovers() throws IOException {
        try (DirectoryStream<Path> parts = Files.newDirectoryStream(path, "{backup*.part,records.trace.db*}")) {
            for (Path part : parts) {
                Files.delete(part);
            }
        }
    }

    private void keepToOneself() throws IOException {
        if (Files.getFileStore(path).supportsFileAttributeView("posix")) {
            Files.setPosixFilePermissions(path, OWN_FOLDER);
            try (Stream<Path> files = Files.list(path)) {
                for (Path file : files.toList()) {
                    Files.setPosixFilePermissions(file, Files.isDirectory(file) ? OWN_FOLDER : OWN_FILE);
                }
            }
        }
    }

    /** The version of the database; 0 where it has none yet. */
    private int version() {
        try (Connection connection = open()) {
            return version(connection);
        } catch (SQLException wrong) {
            throw explained(wrong);
        }
    }

    static int version(Connection connection) throws SQLException {
        if (!connection
                .getMetaData()
                .getTables(null, null, "flyway_schema_history", null)
                .next()) {
            return 0;
        }
        try (var statement = connection.createStatement();
                ResultSet found = statement.executeQuery(
                        "SELECT MAX(CAST(\"version\" AS INT)) FROM \"flyway_schema_history\" WHERE \"success\"")) {
            found.next();
            return found.getInt(1);
        }
    }

    /** A connection to the database while no server runs. */
    Connection open() throws SQLException {
        return open(path, key);
    }

    static Connection open(Path folder, DatabaseKey key) throws SQLException {
        return DriverManager.getConnection(key.url(url(folder) + ";IFEXISTS=TRUE"), USER, key.password());
    }

    /** A new database at a version. */
    static Connection make(Path folder, int version, DatabaseKey key) throws SQLException {
        String url = key.url(url(folder));
        Flyway.configure()
                .dataSource(url, USER, key.password())
                .locations("classpath:db/migration")
                .target(String.valueOf(version))
                .load()
                .migrate();
        return DriverManager.getConnection(url, USER, key.password());
    }

    CannotStart explained(SQLException wrong) {
        if (isAboutKey(wrong)) {
            return new CannotStart(
                    key.isGiven()
                            ? "The database in " + path
                                    + " is not encrypted with the key that was given. Give the one that it"
                                    + " was made with; one that is not encrypted is exported, and imported with the key."
                            : "The database in " + path + " is encrypted. Give its key as " + DatabaseKey.SETTING
                                    + " or " + DatabaseKey.SETTING + "-file.",
                    wrong);
        }
        return isInUse(wrong)
                ? new CannotStart("Another Dipstick runs over the folder " + path
                        + " already. Stop it first, or name another folder with --data.")
                : new CannotStart(
                        "The database in " + path + " is damaged or none of ours. Keep the folder as it is, and restore"
                                + " the last backup into an empty one with “dipstick restore FILE”.",
                        wrong);
    }

    boolean isAboutKey(SQLException wrong) {
        return wrong.getErrorCode() == WRONG_KEY || (!key.isGiven() && isEncrypted());
    }

    /** As H2 begins such a file. */
    private boolean isEncrypted() {
        try (InputStream file = Files.newInputStream(database())) {
            return new String(file.readNBytes(ENCRYPTED.length()), StandardCharsets.US_ASCII).equals(ENCRYPTED);
        } catch (IOException unreadable) {
            return false;
        }
    }

    static boolean isInUse(SQLException wrong) {
        return wrong.getErrorCode() == IN_USE;
    }

    /** Where the running server can be asked; nothing where none runs, or none that can be. */
    Optional<Control> control() {
        return Control.read(path);
    }
}
