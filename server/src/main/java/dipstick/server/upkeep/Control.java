package dipstick.server.upkeep;

import java.io.IOException;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Optional;
import java.util.Properties;

/**
 * How the commands reach the running server: by an address of this machine, and a secret in a file that only the account
 * that it runs as can read.
 */
record Control(String address, String secret) {
    static final String HEADER = "X-Dipstick-Control";

    private static final String FILE = "control.properties";

    static Optional<Control> read(Path data) {
        Path file = data.resolve(FILE);
        if (!Files.isReadable(file)) {
            return Optional.empty();
        }
        Properties kept = new Properties();
        try (Reader reader = Files.newBufferedReader(file)) {
            kept.load(reader);
        } catch (IOException unreadable) {
            throw new UncheckedIOException("The file " + file + " cannot be read", unreadable);
        }
        return Optional.of(new Control(kept.getProperty("address", ""), kept.getProperty("secret", "")));
    }

    void write(Path data) throws IOException {
        Path file = data.resolve(FILE);
        Files.deleteIfExists(file);
        if (Files.getFileStore(data).supportsFileAttributeView("posix")) {
            Files.createFile(file, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
        }
        Properties kept = new Properties();
        kept.setProperty("address", address);
        kept.setProperty("secret", secret);
        try (Writer writer = Files.newBufferedWriter(file)) {
            kept.store(writer, "How commands reach the server that runs over this folder");
        }
    }

    static void remove(Path data) throws IOException {
        Files.deleteIfExists(data.resolve(FILE));
    }
}
