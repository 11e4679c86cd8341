package dipstick.core.population;

import dipstick.core.records.EventRecord;
import dipstick.core.records.FieldValue;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What the rows of a file by columns are about: each different {@linkplain Concepts concept} once, as a record that says
 * nothing else.
 */
public final class ConceptRows {
    /** The fields that make a concept. */
    public static final List<String> FIELDS = List.of("kind", "code", "system", "text", "keywords", "also_coded");

    private final List<EventRecord> different;
    private final int[] ofRow;

    private ConceptRows(List<EventRecord> different, int[] ofRow) {
        this.different = List.copyOf(different);
        this.ofRow = ofRow;
    }

    /** @param fields by name; those that are not among them are missing of all */
    public static ConceptRows of(int size, Map<String, FieldRows> fields) {
        List<String> names = FIELDS.stream().filter(fields::containsKey).toList();
        List<FieldRows> columns = names.stream().map(fields::get).toList();
        Map<List<Integer>, Integer> places = new HashMap<>();
        List<EventRecord> different = new ArrayList<>();
        int[] ofRow = new int[size];
        for (int row = 0; row < size; row++) {
            // Rows that are sorted by what they are about say the same as the one before.
            ofRow[row] =
                    row > 0 && isAlike(columns, row) ? ofRow[row - 1] : place(names, columns, row, places, different);
        }
        return new ConceptRows(different, ofRow);
    }

    private static boolean isAlike(List<FieldRows> columns, int row) {
        for (FieldRows column : columns) {
            if (column.entries()[row] != column.entries()[row - 1]) {
                return false;
            }
        }
        return true;
    }

    private static int place(
            List<String> names,
            List<FieldRows> columns,
            int row,
            Map<List<Integer>, Integer> places,
            List<EventRecord> different) {
        List<Integer> entries =
                columns.stream().map(column -> column.entries()[row]).toList();
        return places.computeIfAbsent(entries, _ -> {
            Map<String, FieldValue> values = new HashMap<>();
            for (int i = 0; i < names.size(); i++) {
                if (entries.get(i) != FieldRows.MISSING) {
                    values.put(names.get(i), columns.get(i).values().get(entries.get(i)));
                }
            }
            different.add(new EventRecord(values));
            return different.size() - 1;
        });
    }

    public int size() {
        return ofRow.length;
    }

    /** The different ones. */
    public List<EventRecord> different() {
        return different;
    }

    /** The place of a row's concept among the different ones. */
    public int of(int row) {
        return ofRow[row];
    }
}
