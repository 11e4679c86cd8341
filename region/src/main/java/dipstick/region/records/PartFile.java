package dipstick.region.records;

import dipstick.core.population.FieldRows;
import dipstick.core.records.Field;
import java.io.IOException;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.apache.hadoop.conf.Configuration;
import org.apache.hadoop.fs.Path;
import org.apache.parquet.HadoopReadOptions;
import org.apache.parquet.column.page.PageReadStore;
import org.apache.parquet.hadoop.ParquetFileReader;
import org.apache.parquet.hadoop.util.HadoopInputFile;
import org.apache.parquet.schema.MessageType;
import org.apache.parquet.schema.Type;

/** One Parquet file of a side of a part, read a row group at a time, and of it only the columns that are asked for. */
final class PartFile implements AutoCloseable {
    private final Path path;
    private final Side side;
    private final ParquetFileReader file;

    private PartFile(Path path, Side side, ParquetFileReader file) {
        this.path = path;
        this.side = side;
        this.file = file;
    }

    /**
     * Opens a file and sees whether it has the columns of these fields, as they should be.
     *
     * @throws RegionFault where it has not, or is no Parquet file that is whole
     */
    static PartFile open(Path path, Side side, List<Field> fields, Configuration storage) {
        try {
            PartFile file = new PartFile(
                    path,
                    side,
                    ParquetFileReader.open(
                            HadoopInputFile.fromPath(path, storage),
                            // Without settings it would read all of Hadoop's again, for each file.
                            HadoopReadOptions.builder(storage).build()));
            file.requireColumns(fields);
            return file;
        } catch (IOException | RuntimeException unreadable) {
            throw fault(path, unreadable);
        }
    }

    private static RegionFault fault(Path path, Exception unreadable) {
        return unreadable instanceof RegionFault fault
                ? fault
                : new RegionFault(path.toString(), "it is no Parquet file that is whole: " + unreadable.getMessage());
    }

    private void requireColumns(List<Field> fields) {
        MessageType schema = file.getFileMetaData().getSchema();
        fields.stream().flatMap(field -> PartColumns.columns(side, field)).forEach(expected -> {
            Optional<Type> found = schema.getFields().stream()
                    .filter(one -> one.getName().equals(expected.getName()))
                    .findFirst();
            if (found.filter(one -> isAs(one, expected)).isEmpty()) {
                throw new RegionFault(
                        path.toString(),
                        "it is of another schema: a column should be “" + expected + "”, and "
                                + found.map(one -> "is “" + one + "”.").orElse("is not there."));
            }
        });
    }

    private static boolean isAs(Type one, Type expected) {
        return one.isPrimitive()
                && one.asPrimitiveType().getPrimitiveTypeName()
                        == expected.asPrimitiveType().getPrimitiveTypeName()
                && !one.isRepetition(Type.Repetition.REPEATED);
    }

    long rows() {
        return file.getRecordCount();
    }

    /** What its rows are about, where its footer says it. */
    Optional<ConceptRuns> runs() {
        return ConceptRuns.of(file.getFileMetaData().getKeyValueMetaData());
    }

    void forEach(List<Field> fields, Consumer<RowGroup> groups) {
        MessageType asked = PartColumns.schema(side, fields);
        file.setRequestedSchema(asked);
        reading(() -> {
            int group = 0;
            for (PageReadStore pages = file.readNextRowGroup(); pages != null; pages = file.readNextRowGroup()) {
                groups.accept(rowGroup(pages, asked, group++));
            }
        });
    }

    /** Reads only the rows of some stretches, and hands over what they are about with them. */
    void forEach(
            List<Field> fields, ConceptRuns runs, BitSet meant, BiConsumer<RowGroup, Map<String, FieldRows>> groups) {
        MessageType asked = PartColumns.schema(side, fields);
        file.setRequestedSchema(asked);
        reading(() -> {
            long first = 0;
            for (int group = 0; group < file.getRowGroups().size(); group++) {
                long size = file.getRowGroups().get(group).getRowCount();
                ConceptRuns.Rows rows = runs.in(first, size, meant);
                if (rows.ranges().rowCount() > 0) {
                    groups.accept(
                            rowGroup(file.readFilteredRowGroup(group, rows.ranges()), asked, group), rows.columns());
                }
                first += size;
            }
        });
    }

    private RowGroup rowGroup(PageReadStore pages, MessageType asked, int number) {
        Set<String> blank = file.getRowGroups().get(number).getColumns().stream()
                .filter(chunk -> chunk.getStatistics().isNumNullsSet()
                        && chunk.getStatistics().getNumNulls() == chunk.getValueCount())
                .map(chunk -> chunk.getPath().toDotString())
                .collect(Collectors.toSet());
        return new RowGroup(pages, asked, file.getFileMetaData().getCreatedBy(), blank);
    }

    private interface Reading {
        void read() throws IOException;
    }

    private void reading(Reading reading) {
        try {
            reading.read();
        } catch (IOException | RuntimeException unreadable) {
            throw fault(path, unreadable);
        }
    }

    @Override
    public void close() throws IOException {
        file.close();
    }
}
