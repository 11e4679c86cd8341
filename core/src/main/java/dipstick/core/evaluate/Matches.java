package dipstick.core.evaluate;

import dipstick.core.Outcome;
import java.util.Arrays;

/** The events of one person that match a selection, each with yes or can't tell. Used again for the next person. */
final class Matches {
    /** An event that may match is held as its complement. */
    private int[] events = new int[16];

    private int from;
    private int size;
    private int certainCount;

    void clear() {
        size = 0;
        certainCount = 0;
    }

    void add(int event, Outcome outcome) {
        if (outcome == Outcome.NO) {
            return;
        }
        if (size == events.length) {
            events = Arrays.copyOf(events, 2 * size);
        }
        events[size++] = marked(event, outcome.rank());
        certainCount += outcome == Outcome.YES ? 1 : 0;
    }

    /**
     * Shows some of the {@linkplain #marked marked} events of another's array, which this does not change.
     *
     * @param allCertain whether all of the array are known to match for certain
     */
    void show(int[] marked, int first, int end, boolean allCertain) {
        events = marked;
        from = first;
        size = end - first;
        certainCount = size;
        if (!allCertain) {
            for (int i = first; i < end; i++) {
                certainCount -= marked[i] >= 0 ? 0 : 1;
            }
        }
    }

    /** An event with whether it matches for certain, in one number: the complement of one that only may. */
    static int marked(int event, int rank) {
        return event ^ -(rank & 1);
    }

    /** The event of such a number. */
    static int unmarked(int marked) {
        return marked ^ (marked >> 31);
    }

    int size() {
        return size;
    }

    int certainCount() {
        return certainCount;
    }

    int event(int index) {
        return unmarked(events[from + index]);
    }

    boolean isCertain(int index) {
        return events[from + index] >= 0;
    }

    Outcome outcome(int index) {
        return isCertain(index) ? Outcome.YES : Outcome.UNSURE;
    }
}
