package dipstick.core.population;

import java.util.function.IntPredicate;

/** Looks up numbers in an order by halving. */
final class Search {
    private Search() {}

    /**
     * The first of the numbers from {@code from} on for which something holds; {@code end} where it holds for none.
     *
     * @param holds for all after the first for which it does
     */
    static int first(int from, int end, IntPredicate holds) {
        int low = from;
        int high = end;
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (holds.test(middle)) {
                high = middle;
            } else {
                low = middle + 1;
            }
        }
        return low;
    }

    /** The same, where it is likely to be near the end: reaches back twice as far each time before it halves. */
    static int firstNearEnd(int from, int end, IntPredicate holds) {
        int high = end;
        int step = 1;
        while (high - step >= from && holds.test(high - step)) {
            high -= step;
            step <<= 1;
        }
        return first(Math.max(from, high - step), high, holds);
    }
}
