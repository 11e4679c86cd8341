package dipstick.region.records;

import dipstick.core.population.FieldRows;
import dipstick.core.records.Field;
import dipstick.core.records.FieldValue;
import dipstick.core.time.DateRange;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.IntStream;
import org.apache.parquet.column.ColumnDescriptor;
import org.apache.parquet.column.ColumnReader;
import org.apache.parquet.column.impl.ColumnReadStoreImpl;
import org.apache.parquet.column.page.PageReadStore;
import org.apache.parquet.io.api.Converter;
import org.apache.parquet.io.api.GroupConverter;
import org.apache.parquet.schema.MessageType;

/** Some rows of a file, of which each column may be read once. */
final class RowGroup {
    private final PageReadStore pages;
    private final MessageType schema;
    private final String writtenBy;
    private final Set<String> blank;

    /** @param blank the names of columns that have no value in any row */
    RowGroup(PageReadStore pages, MessageType schema, String writtenBy, Set<String> blank) {
        this.pages = pages;
        this.schema = schema;
        this.writtenBy = writtenBy;
        this.blank = blank;
    }

    int size() {
        return Math.toIntExact(pages.getRowCount());
    }

    int[] allRows() {
        return IntStream.range(0, size()).toArray();
    }

    /** @param rows which of them, in their order */
    FieldRows read(Field field, int[] rows) {
        return switch (field.type()) {
            case IDENTIFIER, TEXT, TEXTS, CODINGS ->
                column(field.name(), rows, cell -> CellValues.text(field.type(), (String) cell));
            case NUMBER -> column(field.name(), rows, cell -> Optional.of(new FieldValue.OfNumber((Double) cell)));
            case FLAG -> column(field.name(), rows, cell -> Optional.of(new FieldValue.OfFlag((Boolean) cell)));
            case DATE -> dates(days(field.name(), rows), days(PartColumns.last(field.name()), rows));
        };
    }

    private FieldRows days(String column, int[] rows) {
        return column(
                column,
                rows,
                cell -> Optional.of(new FieldValue.OfDate(new DateRange((Integer) cell, (Integer) cell))));
    }

    /** @param last of those alone that are no single day */
    private static FieldRows dates(FieldRows first, FieldRows last) {
        if (last.values().isEmpty()) {
            return first;
        }
        List<FieldValue> values = new ArrayList<>(first.values());
        Map<DateRange, Integer> entryOf = new HashMap<>();
        int[] entries = first.entries().clone();
        for (int row = 0; row < entries.length; row++) {
            if (last.entries()[row] != FieldRows.MISSING) {
                DateRange days =
                        new DateRange(day(first, row).first(), day(last, row).last());
                entries[row] = entryOf.computeIfAbsent(days, one -> {
                    values.add(new FieldValue.OfDate(one));
                    return values.size() - 1;
                });
            }
        }
        return new FieldRows(entries, values);
    }

    private static DateRange day(FieldRows days, int row) {
        return ((FieldValue.OfDate) days.values().get(days.entries()[row])).days();
    }

    private FieldRows column(String name, int[] rows, Function<Object, Optional<FieldValue>> valueOf) {
        if (blank.contains(name)) {
            return FieldRows.missing(rows.length);
        }
        ColumnDescriptor column = schema.getColumnDescription(new String[] {name});
        ColumnValues values = new ColumnValues(column.getPrimitiveType().getPrimitiveTypeName(), rows.length, valueOf);
        ColumnReader reader =
                new ColumnReadStoreImpl(pages, new EveryColumn(values), schema, writtenBy).getColumnReader(column);
        int present = column.getMaxDefinitionLevel();
        int next = 0;
        for (int row = 0; next < rows.length; row++) {
            boolean wanted = rows[next] == row;
            if (reader.getCurrentDefinitionLevel() == present) {
                if (wanted) {
                    values.at(next);
                    reader.writeCurrentValueToConverter();
                } else {
                    reader.skip();
                }
            }
            next += wanted ? 1 : 0;
            reader.consume();
        }
        return values.rows();
    }

    /** Hands the values of whichever column is read to the same place. */
    private static final class EveryColumn extends GroupConverter {
        private final ColumnValues values;

        EveryColumn(ColumnValues values) {
            this.values = values;
        }

        @Override
        public Converter getConverter(int column) {
            return values;
        }

        @Override
        public void start() {
            // Rows begin nowhere here: each column is read for itself.
        }

        @Override
        public void end() {
            // Nor do they end.
        }
    }
}
