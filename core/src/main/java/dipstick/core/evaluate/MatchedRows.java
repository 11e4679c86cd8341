package dipstick.core.evaluate;

import java.util.Arrays;

/** The rows of a range of people that match a selection, in the order of their concepts. */
final class MatchedRows implements EventMatcher.RowSink {
    private int[] marked = new int[1024];
    private int size;

    static MatchedRows of(EventMatcher matcher, PeopleRange people) {
        MatchedRows rows = new MatchedRows();
        matcher.forEachRow(people, rows);
        return rows;
    }

    @Override
    public void rows(int[] more, int count) {
        if (size + count > marked.length) {
            marked = Arrays.copyOf(marked, Math.max(2 * size, size + count));
        }
        System.arraycopy(more, 0, marked, size, count);
        size += count;
    }

    int size() {
        return size;
    }

    /** As {@link Matches#marked}. */
    int marked(int place) {
        return marked[place];
    }

    int[] array() {
        return marked;
    }
}
