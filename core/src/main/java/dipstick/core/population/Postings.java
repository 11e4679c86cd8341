package dipstick.core.population;

/** For each code of a column, the rows that have it, in ascending order. */
public final class Postings {
    private final int[] starts;
    private final int[] rows;

    private Postings(int[] starts, int[] rows) {
        this.starts = starts;
        this.rows = rows;
    }

    static Postings of(Column column) {
        Codes codes = column.codes();
        int[] starts = new int[column.codeCount() + 1];
        for (int row = 0; row < codes.size(); row++) {
            int code = codes.get(row);
            if (code != Codes.MISSING) {
                starts[code + 1]++;
            }
        }
        for (int code = 1; code < starts.length; code++) {
            starts[code] += starts[code - 1];
        }
        int[] next = starts.clone();
        int[] rows = new int[starts[starts.length - 1]];
        for (int row = 0; row < codes.size(); row++) {
            int code = codes.get(row);
            if (code != Codes.MISSING) {
                rows[next[code]++] = row;
            }
        }
        return new Postings(starts, rows);
    }

    public int count(int code) {
        return starts[code + 1] - starts[code];
    }

    /** Copies the rows of a code into {@code target} from {@code at} on; returns the place after the last. */
    public int copy(int code, int[] target, int at) {
        System.arraycopy(rows, starts[code], target, at, count(code));
        return at + count(code);
    }
}
