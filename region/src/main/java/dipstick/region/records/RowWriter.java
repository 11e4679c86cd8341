package dipstick.region.records;

import dipstick.core.population.ConceptRows;
import java.io.IOException;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.apache.hadoop.conf.Configuration;
import org.apache.hadoop.fs.Path;
import org.apache.parquet.crypto.FileEncryptionProperties;
import org.apache.parquet.hadoop.ParquetWriter;
import org.apache.parquet.hadoop.api.WriteSupport;
import org.apache.parquet.hadoop.metadata.CompressionCodecName;
import org.apache.parquet.hadoop.util.HadoopOutputFile;
import org.apache.parquet.io.api.Binary;
import org.apache.parquet.io.api.RecordConsumer;
import org.apache.parquet.schema.MessageType;
import org.apache.parquet.schema.Type;
import org.jspecify.annotations.Nullable;

/** Writes rows of plain cells as a Parquet file: texts, days since 1970-01-01, numbers and flags; null where there is none. */
public final class RowWriter {
    private static final long ROW_GROUP_BYTES = 64L << 20;

    /** Of a page that some of its rows are asked of, all are taken apart. */
    private static final int ROWS_OF_A_PAGE = 4096;

    private RowWriter() {}

    /** Whatever takes cells in the order of a schema. What rows of events are about is said in the footer. */
    public static ParquetWriter<Object[]> open(Path file, MessageType schema, Configuration storage)
            throws IOException {
        return open(file, schema, storage, Optional.empty());
    }

    /** @param encryption of columns that only whoever has the key can read */
    public static ParquetWriter<Object[]> open(
            Path file, MessageType schema, Configuration storage, Optional<FileEncryptionProperties> encryption)
            throws IOException {
        boolean saysConcepts = ConceptRows.FIELDS.stream().allMatch(schema::containsField);
        Builder builder = builder(file, schema, storage, saysConcepts);
        encryption.ifPresent(builder::withEncryption);
        return builder.build();
    }

    /** @param saysConcepts whether the footer says what the rows are about, for which the schema is that of events */
    static ParquetWriter<Object[]> open(Path file, MessageType schema, Configuration storage, boolean saysConcepts)
            throws IOException {
        return builder(file, schema, storage, saysConcepts).build();
    }

    private static Builder builder(Path file, MessageType schema, Configuration storage, boolean saysConcepts)
            throws IOException {
        return new Builder(file, schema, storage, saysConcepts)
                .withCompressionCodec(CompressionCodecName.SNAPPY)
                .withRowGroupSize(ROW_GROUP_BYTES)
                .withPageRowCountLimit(ROWS_OF_A_PAGE);
    }

    private static final class Builder extends ParquetWriter.Builder<Object[], Builder> {
        private final MessageType schema;
        private final boolean saysConcepts;

        Builder(Path file, MessageType schema, Configuration storage, boolean saysConcepts) throws IOException {
            super(HadoopOutputFile.fromPath(file, storage));
            this.schema = schema;
            this.saysConcepts = saysConcepts;
            withConf(storage);
        }

        @Override
        protected Builder self() {
            return this;
        }

        // Whoever extends it has to say this one, which is to go.
        @SuppressWarnings("deprecation")
        @Override
        protected WriteSupport<Object[]> getWriteSupport(Configuration configuration) {
            return new Cells(schema, saysConcepts);
        }
    }

    private static final class Cells extends WriteSupport<Object[]> {
        private final MessageType schema;
        private final Optional<ConceptRuns.Gathering> runs;
        private @Nullable RecordConsumer out;

        Cells(MessageType schema, boolean saysConcepts) {
            this.schema = schema;
            this.runs = saysConcepts ? Optional.of(new ConceptRuns.Gathering(schema)) : Optional.empty();
        }

        @SuppressWarnings("deprecation")
        @Override
        public WriteContext init(Configuration configuration) {
            return new WriteContext(schema, Map.of());
        }

        @Override
        public void prepareForWrite(RecordConsumer consumer) {
            out = consumer;
        }

        @Override
        public FinalizedWriteContext finalizeWrite() {
            return new FinalizedWriteContext(
                    runs.map(ConceptRuns.Gathering::footer).orElse(Map.of()));
        }

        @Override
        public void write(Object[] cells) {
            runs.ifPresent(gathering -> gathering.add(cells));
            RecordConsumer to = Objects.requireNonNull(out, "Nothing is written before the file is begun");
            to.startMessage();
            for (int i = 0; i < cells.length; i++) {
                if (cells[i] != null) {
                    Type column = schema.getType(i);
                    to.startField(column.getName(), i);
                    write(to, cells[i]);
                    to.endField(column.getName(), i);
                }
            }
            to.endMessage();
        }

        private static void write(RecordConsumer to, Object cell) {
            switch (cell) {
                case String text -> to.addBinary(Binary.fromString(text));
                case Integer day -> to.addInteger(day);
                case Double number -> to.addDouble(number);
                case Boolean flag -> to.addBoolean(flag);
                default -> throw new IllegalArgumentException("No cell is a " + cell.getClass());
            }
        }
    }
}
