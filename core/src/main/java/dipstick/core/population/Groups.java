package dipstick.core.population;

import java.util.function.IntUnaryOperator;

/**
 * Rows divided into groups.
 *
 * @param count how many groups there are
 * @param of the group of a row
 */
record Groups(int count, IntUnaryOperator of) {
    /** The place of the first row of each group when rows are sorted by group, and the number of all. */
    int[] starts(int rows) {
        int[] starts = new int[count + 1];
        for (int row = 0; row < rows; row++) {
            starts[of.applyAsInt(row) + 1]++;
        }
        for (int group = 0; group < count; group++) {
            starts[group + 1] += starts[group];
        }
        return starts;
    }

    /** The same rows sorted by group; those of one group keep their order. */
    int[] sorted(int[] rows) {
        int[] next = starts(rows.length);
        int[] sorted = new int[rows.length];
        for (int row : rows) {
            sorted[next[of.applyAsInt(row)]++] = row;
        }
        return sorted;
    }
}
