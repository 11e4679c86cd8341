package dipstick.region.evaluate;

import dipstick.region.records.RowWriter;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.UUID;
import org.apache.hadoop.conf.Configuration;
import org.apache.hadoop.fs.FSDataOutputStream;
import org.apache.hadoop.fs.FileSystem;
import org.apache.hadoop.fs.Path;
import org.apache.parquet.crypto.FileEncryptionProperties;
import org.apache.parquet.hadoop.ParquetWriter;
import org.apache.parquet.schema.MessageType;

/** Writes files into a folder, each aside first: a task that runs twice writes the same twice, and nobody sees half of it. */
final class OutFiles {
    private final Path folder;
    private final Configuration storage;

    OutFiles(Path folder, Configuration storage) {
        this.folder = folder;
        this.storage = storage;
    }

    Path folder() {
        return folder;
    }

    void put(String name, String text) throws IOException {
        Path aside = aside(name);
        try (FSDataOutputStream out = aside.getFileSystem(storage).create(aside, true)) {
            out.write(text.getBytes(StandardCharsets.UTF_8));
        }
        settle(aside, name);
    }

    /** @param encryption of those columns that name somebody; nothing where everybody may read them */
    void put(String name, MessageType schema, Iterable<Object[]> rows, Optional<FileEncryptionProperties> encryption)
            throws IOException {
        Path aside = aside(name);
        try (ParquetWriter<Object[]> out = RowWriter.open(aside, schema, storage, encryption)) {
            for (Object[] row : rows) {
                out.write(row);
            }
        }
        settle(aside, name);
    }

    private Path aside(String name) {
        return new Path(folder, "." + UUID.randomUUID() + "." + name);
    }

    private void settle(Path aside, String name) throws IOException {
        FileSystem files = aside.getFileSystem(storage);
        Path file = new Path(folder, name);
        if (!files.rename(aside, file)) {
            // Another try of the same task was here first.
            files.delete(aside, false);
            if (!files.exists(file)) {
                throw new IOException(file + " could not be written");
            }
        }
    }
}
