package dipstick.server.upkeep;

import dipstick.server.audit.AuditFile;
import dipstick.server.database.DatabaseKey;
import dipstick.server.records.PlainRecords;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintStream;
import java.io.Reader;
import java.net.ConnectException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Properties;
import org.springframework.boot.logging.LogLevel;
import org.springframework.boot.logging.LoggingSystem;
import org.springframework.util.FileSystemUtils;

/** What is done about a data folder from the command line (docs/operations.md), whether or not the server runs. */
public final class Commands {
    private static final int DONE = 0;
    private static final int NOT_DONE = 1;
    private static final int NOT_UNDERSTOOD = 2;

    private final DataFolder data;
    private final PrintStream out;

    private Commands(DataFolder data, PrintStream out) {
        this.data = data;
        this.out = out;
    }

    /**
     * @param arguments the command, its words, and the data folder last
     * @return the exit status; nothing where this is no command but the start of the server
     */
    public static Optional<Integer> run(List<String> arguments, PrintStream out, PrintStream wrong) {
        if (arguments.isEmpty()
                || !List.of("backup", "restore", "export", "records", "import", "audit")
                        .contains(arguments.getFirst())) {
            return Optional.empty();
        }
        if (arguments.size() != 3) {
            wrong.println(
                    "dipstick: say backup FILE, restore FILE, export FOLDER, records FOLDER, import FOLDER or audit"
                            + " verify.");
            return Optional.of(NOT_UNDERSTOOD);
        }
        Path data = Path.of(arguments.get(2));
        // What is said to whoever typed it stands alone.
        LoggingSystem.get(Commands.class.getClassLoader()).setLogLevel(LoggingSystem.ROOT_LOGGER_NAME, LogLevel.ERROR);
        try {
            Commands commands = new Commands(new DataFolder(data, key(data)), out);
            return Optional.of(commands.run(arguments.getFirst(), arguments.get(1)));
        } catch (CannotStart refused) {
            wrong.println("dipstick: " + refused.sentence());
        } catch (IOException | SQLException failure) {
            wrong.println("dipstick: it came to nothing: " + failure.getMessage());
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            wrong.println("dipstick: it was stopped.");
        }
        return Optional.of(NOT_DONE);
    }

    /** As the server finds it: in the environment, else in the settings of the data folder. */
    private static DatabaseKey key(Path data) throws IOException {
        Properties settings = new Properties();
        Path file = data.resolve("dipstick.properties");
        if (Files.isReadable(file)) {
            try (Reader reader = Files.newBufferedReader(file)) {
                settings.load(reader);
            }
        }
        return DataFolder.key(name -> Optional.ofNullable(
                        System.getenv(name.replace('.', '_').replace('-', '_').toUpperCase(Locale.ROOT)))
                .orElseGet(() -> settings.getProperty(name, "")));
    }

    private int run(String command, String what) throws IOException, SQLException, InterruptedException {
        return switch (command) {
            case "backup" -> backup(Path.of(what));
            case "restore" -> restore(Path.of(what));
            case "export" -> export(Path.of(what));
            case "records" -> records(Path.of(what));
            case "import" -> bringIn(Path.of(what));
            default -> verify();
        };
    }

    /** Leaves nothing behind that is no backup, whenever it is stopped. */
    private int backup(Path file) throws IOException, SQLException, InterruptedException {
        if (Files.exists(file)) {
            throw new CannotStart(file + " is there already. Name another file; nothing was written.");
        }
        Path folder = Optional.ofNullable(file.toAbsolutePath().getParent()).orElse(file.toAbsolutePath());
        Path part = Files.createTempFile(folder, "backup", ".part");
        try {
            writeBackup(part);
            BackupFile.Counted counted = BackupFile.verify(part, folder, data.key());
            Files.move(part, file, StandardCopyOption.ATOMIC_MOVE);
            out.println(file + ": " + counted.words() + "; opened and counted.");
            return DONE;
        } finally {
            Files.deleteIfExists(part);
        }
    }

    /** @param part an empty file, to be written over */
    private void writeBackup(Path part) throws IOException, SQLException, InterruptedException {
        requireDatabase();
        if (!ofRunningServer(part)) {
            Files.delete(part);
            try (Connection connection = data.open()) {
                BackupFile.write(connection, part);
            } catch (SQLException failure) {
                throw data.explained(failure);
            }
        }
    }

    private int export(Path folder) throws IOException, SQLException, InterruptedException {
        write(folder, WholeExport::write);
        out.println(folder + ": everything, passwords' hashes too. Keep it where the records may be kept.");
        return DONE;
    }

    private int records(Path folder) throws IOException, SQLException, InterruptedException {
        write(folder, (database, part) -> {
            int newest = BeforeStart.newest();
            if (DataFolder.version(database) != newest) {
                throw new CannotStart("The database in " + data.path()
                        + " is of an earlier Dipstick. Start this one over it first; nothing was written.");
            }
            PlainRecords.write(database, part);
        });
        out.println(folder + ": people.csv and events.csv. Keep them where the records may be kept.");
        return DONE;
    }

    /** What is written of a database into a folder. */
    private interface Writing {
        void write(Connection database, Path folder) throws IOException, SQLException;
    }

    /** Of one moment, whether it runs or not; the folder comes to be when everything is in it. */
    private void write(Path folder, Writing writing) throws IOException, SQLException, InterruptedException {
        if (Files.exists(folder)) {
            throw new CannotStart(folder + " is there already. Name another folder; nothing was written.");
        }
        requireDatabase();
        Path besides = Optional.ofNullable(folder.toAbsolutePath().getParent()).orElse(folder.toAbsolutePath());
        Path part = Files.createTempDirectory(besides, "export");
        Path backup = Files.createTempFile(besides, "backup", ".part");
        try {
            writeBackup(backup);
            BackupFile.open(backup, besides, data.key(), database -> {
                writing.write(database, part);
                return DONE;
            });
            Files.move(part, folder, StandardCopyOption.ATOMIC_MOVE);
        } finally {
            Files.deleteIfExists(backup);
            FileSystemUtils.deleteRecursively(part);
        }
    }

    /** Into an empty folder alone; the database comes to be when everything is in it. */
    private int bringIn(Path folder) throws IOException, SQLException {
        int version = WholeExport.version(folder);
        int newest = BeforeStart.newest();
        if (version < 1 || version > newest) {
            throw new CannotStart("The folder " + folder + " was written by another Dipstick (version " + version
                    + ", this one knows 1 to " + newest + "). Nothing was brought in.");
        }
        requireEmpty();
        Path part = Files.createTempDirectory(data.path(), "import");
        try {
            try (Connection database = DataFolder.make(part, version, data.key())) {
                WholeExport.read(folder, database);
            }
            BackupFile.Counted counted;
            try (Connection database = DataFolder.open(part, data.key())) {
                counted = BackupFile.counted(database);
            }
            Files.move(part.resolve(DataFolder.DATABASE), data.database(), StandardCopyOption.ATOMIC_MOVE);
            tellWhatIsThere(counted);
            return DONE;
        } catch (SQLException unfit) {
            throw new CannotStart(
                    "What is in " + folder + " does not fit together, so it was changed since it was written: "
                            + unfit.getMessage() + ". Nothing was brought in.",
                    unfit);
        } finally {
            FileSystemUtils.deleteRecursively(part);
        }
    }

    private void tellWhatIsThere(BackupFile.Counted counted) {
        out.println(data.path() + ": " + counted.words() + ". Start Dipstick over it with --data " + data.path() + ".");
    }

    private void requireDatabase() {
        if (!data.hasDatabase()) {
            throw new CannotStart("There is no database in " + data.path() + ". Name the folder with --data.");
        }
    }

    private boolean ofRunningServer(Path part) throws IOException, InterruptedException {
        Optional<Control> control = data.control();
        if (control.isEmpty()) {
            return false;
        }
        try (HttpClient client = HttpClient.newHttpClient()) {
            HttpRequest request = HttpRequest.newBuilder(
                            URI.create(control.get().address() + "/control/backup"))
                    .header(Control.HEADER, control.get().secret())
                    .build();
            HttpResponse<InputStream> answer = client.send(request, BodyHandlers.ofInputStream());
            try (InputStream body = answer.body()) {
                if (answer.statusCode() != 200) {
                    throw new CannotStart("The running server refused to give a backup; its log says why.");
                }
                Files.copy(body, part, StandardCopyOption.REPLACE_EXISTING);
            }
            return true;
        } catch (ConnectException notRunning) {
            return false;
        }
    }

    /** Into an empty folder alone, so that nothing is ever overwritten. */
    private int restore(Path file) throws IOException, SQLException {
        if (!Files.isReadable(file)) {
            throw new CannotStart(file + " is not there or cannot be read. Nothing was restored.");
        }
        requireEmpty();
        BackupFile.Counted counted = BackupFile.verify(file, data.path(), data.key());
        BackupFile.unpack(file, data.path());
        tellWhatIsThere(counted);
        return DONE;
    }

    private void requireEmpty() throws IOException {
        Files.createDirectories(data.path());
        try (var files = Files.list(data.path())) {
            if (files.findAny().isPresent()) {
                throw new CannotStart(
                        "The folder " + data.path()
                                + " is not empty. Name an empty one with --data, or move what is there away; nothing was changed.");
            }
        }
    }

    private int verify() throws SQLException {
        requireDatabase();
        try (Connection connection = data.open()) {
            String words = AuditFile.verify(connection);
            out.println(words);
            return words.startsWith(AuditFile.RIGHT) ? DONE : NOT_DONE;
        } catch (SQLException failure) {
            if (DataFolder.isInUse(failure)) {
                throw new CannotStart("Dipstick runs over " + data.path()
                        + ". Verify the log on its page Practice, Audit log; or stop it first.");
            }
            throw failure;
        }
    }
}
