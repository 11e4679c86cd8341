package dipstick.region.keys;

import dipstick.region.records.FolderName;
import dipstick.region.records.Practice;
import dipstick.region.records.RegionFault;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.apache.hadoop.conf.Configuration;
import org.apache.hadoop.fs.FileSystem;
import org.apache.hadoop.fs.Path;
import org.apache.hadoop.fs.permission.FsPermission;
import org.apache.parquet.crypto.ColumnEncryptionProperties;
import org.apache.parquet.crypto.FileDecryptionProperties;
import org.apache.parquet.crypto.FileEncryptionProperties;
import org.apache.parquet.hadoop.metadata.ColumnPath;

/**
 * A folder with a file for each practice, {@code Fen%20End.key}: 32 random bytes in Base64 (RFC 4648). It must be seen by all who
 * work, and by nobody else.
 */
public record PracticeKeys(String folder) {
    private static final int BYTES = 32;
    private static final int LONGEST_FILE = 100;

    /** Nothing where the folder has no name. */
    public static Optional<PracticeKeys> in(String folder) {
        return Optional.of(folder).filter(name -> !name.isEmpty()).map(PracticeKeys::new);
    }

    private Path path(String practice) {
        return new Path(folder, FolderName.of(practice) + ".key");
    }

    /** @throws RegionFault where a practice has none */
    public void requireAll(List<Practice> practices, Configuration storage) throws IOException {
        for (Practice practice : practices) {
            read(path(practice.name()), storage);
        }
    }

    /** Makes one for each practice that has none. */
    int makeMissing(List<Practice> practices, Configuration storage) throws IOException {
        FileSystem files = new Path(folder).getFileSystem(storage);
        // Nothing else is to lie there by which a key could be told.
        files.setWriteChecksum(false);
        files.mkdirs(new Path(folder), new FsPermission("700"));
        SecureRandom random = new SecureRandom();
        int made = 0;
        for (Practice practice : practices) {
            Path path = path(practice.name());
            if (!files.exists(path)) {
                byte[] key = new byte[BYTES];
                random.nextBytes(key);
                try (OutputStream out = FileSystem.create(files, path, new FsPermission("600"))) {
                    out.write((Base64.getEncoder().encodeToString(key) + "\n").getBytes(StandardCharsets.US_ASCII));
                }
                made++;
            }
        }
        return made;
    }

    private static byte[] read(Path path, Configuration storage) throws IOException {
        FileSystem files = path.getFileSystem(storage);
        if (!files.exists(path)) {
            throw new RegionFault(path.toString(), "there is no such key. Make it with region keys.");
        }
        try (InputStream in = files.open(path)) {
            String text = new String(in.readNBytes(LONGEST_FILE), StandardCharsets.US_ASCII);
            byte[] key = Base64.getDecoder().decode(text.strip());
            if (key.length == BYTES) {
                return key;
            }
        } catch (IllegalArgumentException notBase64) {
            throw noKey(path);
        }
        throw noKey(path);
    }

    private static RegionFault noKey(Path path) {
        return new RegionFault(path.toString(), "this is no key as region keys makes them.");
    }

    /**
     * With which the columns that name people are written; whoever has no key reads the others.
     *
     * @param columns their names
     */
    public FileEncryptionProperties writing(String practice, List<String> columns, Configuration storage)
            throws IOException {
        byte[] key = read(path(practice), storage);
        Map<ColumnPath, ColumnEncryptionProperties> encrypted = columns.stream()
                .map(ColumnPath::get)
                .collect(Collectors.toMap(
                        Function.identity(),
                        column -> ColumnEncryptionProperties.builder(column).build()));
        return FileEncryptionProperties.builder(key)
                .withPlaintextFooter()
                .withEncryptedColumns(encrypted)
                .build();
    }

    /** With which somebody reads them who has the key as a file. */
    static FileDecryptionProperties reading(Path file, Configuration storage) throws IOException {
        byte[] key = read(file, storage);
        return FileDecryptionProperties.builder()
                .withFooterKey(key)
                .withPlaintextFilesAllowed()
                .build();
    }
}
