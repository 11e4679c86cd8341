package dipstick.core.criteria;

import dipstick.core.Outcome;

/**
 * How many there should be, from {@code least} to {@code most}, both inside. "None" is at most 0, "exactly n" is n
 * to n, "at least n" has no most.
 */
public record Count(int least, int most) {
    private static final int NO_LIMIT = Integer.MAX_VALUE;

    public static final Count ONE_OR_MORE = atLeast(1);

    public static Count atLeast(int n) {
        return new Count(n, NO_LIMIT);
    }

    public static Count atMost(int n) {
        return new Count(0, n);
    }

    public static Count exactly(int n) {
        return new Count(n, n);
    }

    public boolean hasMost() {
        return most != NO_LIMIT;
    }

    /**
     * The answer where certainly {@code low} and possibly {@code high} are there (criteria.md section 3, events).
     */
    public Outcome answer(int low, int high) {
        Outcome enough = low >= least ? Outcome.YES : high < least ? Outcome.NO : Outcome.UNSURE;
        Outcome notTooMany = high <= most ? Outcome.YES : low > most ? Outcome.NO : Outcome.UNSURE;
        return enough.and(notTooMany);
    }
}
