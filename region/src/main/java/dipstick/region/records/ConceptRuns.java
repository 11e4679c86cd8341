package dipstick.region.records;

import dipstick.core.parts.AskedRecords;
import dipstick.core.population.ConceptRows;
import dipstick.core.population.FieldRows;
import dipstick.core.records.EventRecord;
import dipstick.core.records.Field;
import dipstick.core.records.FieldValue;
import dipstick.core.records.Fields;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.IntStream;
import org.apache.parquet.internal.column.columnindex.OffsetIndex;
import org.apache.parquet.internal.filter2.columnindex.RowRanges;
import org.apache.parquet.schema.MessageType;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * What the rows of a file of events are about, one stretch after another, as its footer says it: so what a set does not ask for
 * is neither read nor looked at. A file without it, or whose rows are in another order, is read by its columns.
 */
final class ConceptRuns {
    /** Under which it stands in the footer: for each stretch its six cells, and its number of rows. */
    private static final String KEY = "dipstick.concepts";

    /** A footer is read whenever the file is opened; of more stretches the columns say as much. */
    private static final int MOST = 20_000;

    private static final List<Field> FIELDS = ConceptRows.FIELDS.stream()
            .map(name -> Fields.EVENT.find(name).orElseThrow())
            .toList();
    private static final JsonMapper JSON = JsonMapper.shared();
    private static final TypeReference<List<List<String>>> LINES = new TypeReference<>() {};

    /** @param end the row after its last, in the file */
    private record Run(EventRecord concept, long end) {}

    private final List<Run> runs;

    private ConceptRuns(List<Run> runs) {
        this.runs = runs;
    }

    /** Gathers them while the rows of a file are written. */
    static final class Gathering {
        private final int[] columns;
        private final List<List<String>> lines = new ArrayList<>();
        private Object[] before = new Object[0];
        private long rows;

        Gathering(MessageType schema) {
            this.columns =
                    ConceptRows.FIELDS.stream().mapToInt(schema::getFieldIndex).toArray();
        }

        /** @param row its cells, which nobody changes afterwards */
        void add(Object[] row) {
            if (rows > 0 && !isLikeBefore(row)) {
                end();
            }
            before = row;
            rows++;
        }

        private boolean isLikeBefore(Object[] row) {
            for (int column : columns) {
                if (!Objects.equals(row[column], before[column])) {
                    return false;
                }
            }
            return true;
        }

        private void end() {
            if (lines.size() <= MOST) {
                List<String> line = new ArrayList<>();
                for (int column : columns) {
                    line.add(Objects.requireNonNullElse(before[column], "").toString());
                }
                line.add(Long.toString(rows));
                lines.add(line);
            }
            rows = 0;
        }

        Map<String, String> footer() {
            if (rows > 0) {
                end();
            }
            return lines.size() > MOST ? Map.of() : Map.of(KEY, JSON.writeValueAsString(lines));
        }
    }

    /** As a footer says them; nothing where it does not. */
    static Optional<ConceptRuns> of(Map<String, String> footer) {
        return Optional.ofNullable(footer.get(KEY)).map(said -> {
            List<Run> runs = new ArrayList<>();
            long end = 0;
            for (List<String> line : JSON.readValue(said, LINES)) {
                end += Long.parseLong(line.getLast());
                runs.add(new Run(concept(line), end));
            }
            return new ConceptRuns(runs);
        });
    }

    private static EventRecord concept(List<String> line) {
        Map<String, FieldValue> values = new HashMap<>();
        for (int i = 0; i < FIELDS.size(); i++) {
            Field field = FIELDS.get(i);
            CellValues.text(field.type(), line.get(i)).ifPresent(value -> values.put(field.name(), value));
        }
        return new EventRecord(values);
    }

    /** The places of those stretches that a set asks for. */
    BitSet meant(AskedRecords asked) {
        return asked.of(runs.stream().map(Run::concept).toList());
    }

    /**
     * The rows of some stretches in a row group, by what they are about.
     *
     * @param ranges counted from the first row of the group
     * @param columns of these rows, one after another
     */
    record Rows(RowRanges ranges, Map<String, FieldRows> columns) {}

    /** @param first the group's first row in the file */
    Rows in(long first, long size, BitSet meant) {
        List<long[]> stretches = new ArrayList<>();
        List<EventRecord> concepts = new ArrayList<>();
        for (int place = meant.nextSetBit(0); place >= 0; place = meant.nextSetBit(place + 1)) {
            long from = Math.max(first, place == 0 ? 0 : runs.get(place - 1).end());
            long end = Math.min(first + size, runs.get(place).end());
            if (from < end) {
                stretches.add(new long[] {from - first, end - first - 1});
                concepts.add(runs.get(place).concept());
            }
        }
        RowRanges ranges = stretches.isEmpty()
                ? RowRanges.EMPTY
                : RowRanges.create(size, IntStream.range(0, stretches.size()).iterator(), new Stretches(stretches));
        return new Rows(ranges, columns(stretches, concepts));
    }

    private static Map<String, FieldRows> columns(List<long[]> stretches, List<EventRecord> concepts) {
        Map<String, FieldRows> columns = new HashMap<>();
        int rows = stretches.stream()
                .mapToInt(stretch -> Math.toIntExact(stretch[1] - stretch[0] + 1))
                .sum();
        for (Field field : FIELDS) {
            List<FieldValue> values = new ArrayList<>();
            int[] entries = new int[rows];
            int at = 0;
            for (int i = 0; i < stretches.size(); i++) {
                int end = at + Math.toIntExact(stretches.get(i)[1] - stretches.get(i)[0] + 1);
                Optional<FieldValue> value =
                        Optional.ofNullable(concepts.get(i).values().get(field.name()));
                value.ifPresent(values::add);
                Arrays.fill(entries, at, end, value.isPresent() ? values.size() - 1 : FieldRows.MISSING);
                at = end;
            }
            columns.put(field.name(), new FieldRows(entries, values));
        }
        return columns;
    }

    /** Stretches of rows, as the library knows those of pages. */
    private record Stretches(List<long[]> rows) implements OffsetIndex {
        @Override
        public int getPageCount() {
            return rows.size();
        }

        @Override
        public long getFirstRowIndex(int page) {
            return rows.get(page)[0];
        }

        @Override
        public long getLastRowIndex(int page, long ofGroup) {
            return rows.get(page)[1];
        }

        @Override
        public long getOffset(int page) {
            throw new UnsupportedOperationException("Stretches of rows lie at no place of a file");
        }

        @Override
        public int getCompressedPageSize(int page) {
            throw new UnsupportedOperationException("Stretches of rows have no size");
        }
    }
}
