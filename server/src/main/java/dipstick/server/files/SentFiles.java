package dipstick.server.files;

import dipstick.core.text.Shortened;
import dipstick.intake.files.Packed;
import dipstick.intake.rows.UnreadableRows;
import dipstick.server.practice.PracticeSettings;
import dipstick.server.web.Problems;
import jakarta.annotation.PostConstruct;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.util.FileSystemUtils;
import org.springframework.web.ErrorResponseException;

/** Keeps a file aside for as long as it takes to read it. */
@Component
public class SentFiles {
    private static final Logger LOG = LoggerFactory.getLogger(SentFiles.class);
    private static final int LONGEST_NAME = 300;
    private static final long LARGEST = 200_000_000;

    private final Path folder;

    SentFiles(PracticeSettings settings) {
        this.folder = settings.data().resolve("read");
    }

    /** Removes what a stop in the middle left behind. */
    @PostConstruct
    void removeLeftovers() throws IOException {
        FileSystemUtils.deleteRecursively(folder);
    }

    /** Reads a file. */
    public interface Reader<T> {
        T read(String name, Path file) throws IOException;
    }

    /**
     * Reads what was sent, unpacked where it came packed, and removes it.
     *
     * @param name of the file, of which no more than {@value #LONGEST_NAME} letters are taken
     */
    public <T> T read(String name, InputStream bytes, Reader<T> reader) throws IOException {
        String shortName = Shortened.to(LONGEST_NAME, name);
        Path own = Files.createDirectories(folder.resolve(UUID.randomUUID().toString()));
        try {
            Path file = own.resolve("sent");
            copy(bytes, file);
            List<Packed.One> files = Packed.files(shortName, file, own);
            if (files.size() != 1) {
                throw new UnreadableRows(
                        1, "The archive holds " + files.size() + " files. Send the one that is meant by itself.");
            }
            return reader.read(files.getFirst().name(), files.getFirst().file());
        } catch (UnreadableRows unreadable) {
            throw refused(shortName, unreadable);
        } catch (OutOfMemoryError full) {
            // What was read of it is let go with this call, so that everything else goes on.
            LOG.error("There was not enough memory to read a file");
            throw refused(shortName, new UnreadableRows(1, "The server has too little memory for it."));
        } finally {
            FileSystemUtils.deleteRecursively(own);
        }
    }

    private static void copy(InputStream bytes, Path file) throws IOException {
        try (OutputStream out = Files.newOutputStream(file)) {
            byte[] part = new byte[1 << 16];
            long all = 0;
            for (int length = bytes.read(part); length >= 0; length = bytes.read(part)) {
                all += length;
                if (all > LARGEST) {
                    throw new UnreadableRows(
                            1, "It is larger than " + LARGEST / 1_000_000 + " MB, the most that is read at once.");
                }
                out.write(part, 0, length);
            }
        }
    }

    private static ErrorResponseException refused(String name, UnreadableRows unreadable) {

        return Problems.refused(
                HttpStatus.UNPROCESSABLE_CONTENT,
                "unreadable-file",
                "“" + name + "” cannot be read: " + unreadable.reasonAndLine() + " Nothing was changed.");
    }
}
