package dipstick.core.population;

import dipstick.core.records.FieldValue;
import java.util.Arrays;
import java.util.List;

/**
 * The values of one field in some rows, as a file by columns has them: each different one once.
 *
 * @param entries for each row the place of its value among {@code values}; {@link #MISSING} where it has none
 */
public record FieldRows(int[] entries, List<FieldValue> values) {
    public static final int MISSING = -1;

    public FieldRows {
        values = List.copyOf(values);
    }

    /** Rows without a value. */
    public static FieldRows missing(int size) {
        int[] entries = new int[size];
        Arrays.fill(entries, MISSING);
        return new FieldRows(entries, List.of());
    }

    public int size() {
        return entries.length;
    }

    /** How often each value stands there, at its place. */
    int[] counts() {
        int[] counts = new int[values.size()];
        for (int entry : entries) {
            if (entry != MISSING) {
                counts[entry]++;
            }
        }
        return counts;
    }

    /** Some of the rows, by their numbers. */
    public FieldRows of(int[] rows) {
        int[] some = new int[rows.length];
        for (int i = 0; i < rows.length; i++) {
            some[i] = entries[rows[i]];
        }
        return new FieldRows(some, values);
    }
}
