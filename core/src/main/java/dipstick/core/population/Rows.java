package dipstick.core.population;

/**
 * Where each row of a joined column comes from: runs of rows of the first column or of the second, which are copied as
 * they lie.
 */
final class Rows {
    private final GrowingInts starts = new GrowingInts();
    private final GrowingInts sources = new GrowingInts();
    private int count;

    /** Adds a row of the first column. */
    void addFirst(int row) {
        addFirst(row, row + 1);
    }

    /** Adds the rows of the first column from one up to another. */
    void addFirst(int from, int end) {
        if (from < end) {
            add(from, from - 1);
            count += end - from;
        }
    }

    /** Adds a row of the second column. */
    void addSecond(int row) {
        add(~row, ~(row - 1));
        count++;
    }

    /** Runs of the second count downwards, since its rows are kept as {@code ~row}. */
    private void add(int source, int neighbour) {
        int last = sources.size() - 1;
        boolean goesOn = last >= 0 && sourceAt(last, count - 1) == neighbour && (source >= 0) == (neighbour >= 0);
        if (!goesOn) {
            starts.add(count);
            sources.add(source);
        }
    }

    private int sourceAt(int run, int row) {
        int along = row - starts.get(run);
        return sources.get(run) >= 0 ? sources.get(run) + along : sources.get(run) - along;
    }

    int count() {
        return count;
    }

    /** Told of each run. */
    interface Run {
        void rows(int first, int count, boolean ofSecond, int source);
    }

    void forEachRun(Run run) {
        for (int i = 0; i < starts.size(); i++) {
            int end = i + 1 < starts.size() ? starts.get(i + 1) : count;
            int source = sources.get(i);
            run.rows(starts.get(i), end - starts.get(i), source < 0, source < 0 ? ~source : source);
        }
    }

    int[] ints(int[] first, int[] second) {
        int[] joined = new int[count];
        copy(first, second, joined);
        return joined;
    }

    /** The codes of both, each of which is packed for the same highest code. */
    Codes codes(Codes first, Codes second) {
        return switch (first) {
            case Codes.None _ -> new Codes.None(count);
            case Codes.Bytes bytes -> {
                byte[] joined = new byte[count];
                copy(bytes.array(), ((Codes.Bytes) second).array(), joined);
                yield new Codes.Bytes(joined);
            }
            case Codes.Chars chars -> {
                char[] joined = new char[count];
                copy(chars.array(), ((Codes.Chars) second).array(), joined);
                yield new Codes.Chars(joined);
            }
            case Codes.Ints ints -> new Codes.Ints(ints(ints.array(), ((Codes.Ints) second).array()));
            default ->
                throw new IllegalStateException("Codes that are worked out are not packed: "
                        + first.getClass().getSimpleName());
        };
    }

    private void copy(Object first, Object second, Object joined) {
        forEachRun((row, length, ofSecond, source) ->
                System.arraycopy(ofSecond ? second : first, source, joined, row, length));
    }
}
