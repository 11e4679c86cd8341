package dipstick.core.population;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Map;
import java.util.Optional;
import java.util.zip.CRC32;
import java.util.zip.CheckedInputStream;
import java.util.zip.CheckedOutputStream;

/**
 * A population in a file, as it lies in memory, so that it is read as fast as the disk gives it. The file is derived and
 * may be thrown away at any time: it carries the stamp of the records that it was made from and a checksum, and whatever
 * does not fit is not read.
 */
public final class Snapshot {
    /** Changes whenever the columns are laid out in another way. */
    private static final String FORMAT = "dipstick-snapshot/4";

    private static final int BUFFER = 1 << 16;
    private static final int CHECKSUM_BYTES = Long.BYTES;

    private Snapshot() {}

    /** @param waiting how many events there are of each person who is not in the population, by id */
    public record Content(Population population, Map<String, Integer> waiting) {
        public Content {
            waiting = Map.copyOf(waiting);
        }
    }

    /** Through what the file goes on its way to the disk and back, such as a cipher that tells when it was changed. */
    public interface Envelope {
        OutputStream around(OutputStream out) throws IOException;

        InputStream inside(InputStream in) throws IOException;
    }

    /**
     * Writes the file aside, and puts it in its place when it is whole.
     *
     * @param stamp names the state of the records
     * @param envelope nothing where the file stands as it is
     */
    public static void write(Path file, String stamp, Content content, Optional<Envelope> envelope) throws IOException {
        Path aside = Files.createTempFile(file.toAbsolutePath().getParent(), "snapshot", ".part");
        try {
            CRC32 checksum = new CRC32();
            try (OutputStream bytes = Files.newOutputStream(aside);
                    DataOutputStream whole = new DataOutputStream(new BufferedOutputStream(
                            envelope.isPresent() ? envelope.get().around(bytes) : bytes, BUFFER))) {
                DataOutputStream out = new DataOutputStream(new CheckedOutputStream(whole, checksum));
                out.writeUTF(FORMAT);
                out.writeUTF(stamp);
                SnapshotWriter writer = new SnapshotWriter(out);
                writer.waiting(content.waiting());
                writer.population(content.population());
                out.flush();
                whole.writeLong(checksum.getValue());
            }
            Files.move(aside, file, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
        } finally {
            Files.deleteIfExists(aside);
        }
    }

    /** What is in the file, or nothing where there is none, it is of other records, or it was damaged. */
    public static Optional<Content> read(Path file, String stamp, Optional<Envelope> envelope) throws IOException {
        // An envelope tells by itself, as it is opened, that something was changed.
        if (!Files.isRegularFile(file) || (envelope.isEmpty() && !isWhole(file))) {
            return Optional.empty();
        }
        try (InputStream bytes = Files.newInputStream(file);
                DataInputStream in = new DataInputStream(new BufferedInputStream(
                        envelope.isPresent() ? envelope.get().inside(bytes) : bytes, BUFFER))) {
            if (!in.readUTF().equals(FORMAT) || !in.readUTF().equals(stamp)) {
                return Optional.empty();
            }
            SnapshotReader reader = new SnapshotReader(in);
            Map<String, Integer> waiting = reader.waiting();
            return Optional.of(new Content(reader.population(), waiting));
        }
    }

    private static boolean isWhole(Path file) throws IOException {
        long left = Files.size(file) - CHECKSUM_BYTES;
        if (left < 0) {
            return false;
        }
        CRC32 checksum = new CRC32();
        try (InputStream bytes = new BufferedInputStream(Files.newInputStream(file), BUFFER);
                DataInputStream in = new DataInputStream(new CheckedInputStream(bytes, checksum))) {
            in.skipNBytes(left);
            long found = checksum.getValue();
            return found == in.readLong();
        }
    }
}
