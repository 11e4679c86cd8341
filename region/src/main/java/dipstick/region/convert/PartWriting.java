package dipstick.region.convert;

import dipstick.core.records.Field;
import dipstick.region.records.Part;
import dipstick.region.records.PartColumns;
import dipstick.region.records.RegionFolder;
import dipstick.region.records.RowWriter;
import dipstick.region.records.Side;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.hadoop.conf.Configuration;
import org.apache.hadoop.fs.FileSystem;
import org.apache.hadoop.fs.Path;
import org.apache.parquet.hadoop.ParquetWriter;
import org.apache.parquet.schema.MessageType;
import org.apache.spark.sql.Row;

/** Writes rows that come part by part, a file for each; one is open at a time. */
final class PartWriting {
    private static final String FILE = "records.parquet";

    /** Where whose a row is stands in it; its cells come after. */
    static final int PRACTICE = 0;

    static final int PERSON = 1;
    static final int PART = 2;
    static final int CELLS = 3;

    private final RegionFolder folder;
    private final Side side;
    private final MessageType schema;
    private final Configuration storage;
    private final List<Written> written = new ArrayList<>();

    PartWriting(RegionFolder folder, Side side, List<Field> fields, Configuration storage) {
        this.folder = folder;
        this.side = side;
        this.schema = PartColumns.schema(side, fields);
        this.storage = storage;
    }

    List<Written> write(Iterator<Row> rows) throws IOException {
        Optional<Open> open = Optional.empty();
        try {
            while (rows.hasNext()) {
                Row row = rows.next();
                Part part = new Part(row.isNullAt(PRACTICE) ? "" : row.getString(PRACTICE), row.getInt(PART));
                if (open.filter(one -> one.part.equals(part)).isEmpty()) {
                    if (open.isPresent()) {
                        written.add(open.get().finish());
                    }
                    open = Optional.of(new Open(part));
                }
                open.get().add(row);
            }
            if (open.isPresent()) {
                written.add(open.get().finish());
            }
            return List.copyOf(written);
        } finally {
            if (open.isPresent()) {
                open.get().close();
            }
        }
    }

    /** The file of a part while it is written, aside. */
    private final class Open {
        private final Part part;
        private final Path aside;
        private final Optional<ParquetWriter<Object[]>> file;
        private final List<String> twice = new ArrayList<>();
        private String before = "";
        private long rows;

        Open(Part part) throws IOException {
            this.part = part;
            this.aside = new Path(folder.of(side, part), "." + UUID.randomUUID());
            // Events of nobody are counted only.
            this.file =
                    part.practice().isEmpty() ? Optional.empty() : Optional.of(RowWriter.open(aside, schema, storage));
        }

        void add(Row row) throws IOException {
            String person = row.getString(PERSON);
            if (side == Side.PEOPLE && rows > 0 && person.equals(before)) {
                twice.add(person);
            }
            before = person;
            Object[] cells = new Object[row.size() - CELLS];
            for (int i = 0; i < cells.length; i++) {
                cells[i] = row.get(CELLS + i);
            }
            if (file.isPresent()) {
                file.get().write(cells);
            }
            rows++;
        }

        Written finish() throws IOException {
            close();
            if (file.isPresent()) {
                FileSystem files = aside.getFileSystem(storage);
                Path place = new Path(aside.getParent(), FILE);
                if (!files.rename(aside, place) && !files.exists(place)) {
                    throw new IOException(place + " could not be written");
                }
            }
            return new Written(part, rows, twice);
        }

        void close() throws IOException {
            if (file.isPresent()) {
                file.get().close();
            }
        }
    }
}
