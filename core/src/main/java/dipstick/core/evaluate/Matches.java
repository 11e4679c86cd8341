package dipstick.core.evaluate;

import dipstick.core.Outcome;
import java.util.Arrays;

/** The events of one person that match a selection, each with yes or can't tell. Used again for the next person. */
final class Matches {
    private int[] events = new int[16];
    private boolean[] certain = new boolean[16];
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
            certain = Arrays.copyOf(certain, 2 * size);
        }
        events[size] = event;
        certain[size++] = outcome == Outcome.YES;
        certainCount += outcome == Outcome.YES ? 1 : 0;
    }

    int size() {
        return size;
    }

    int certainCount() {
        return certainCount;
    }

    int event(int index) {
        return events[index];
    }

    boolean isCertain(int index) {
        return certain[index];
    }

    Outcome outcome(int index) {
        return certain[index] ? Outcome.YES : Outcome.UNSURE;
    }
}
