package dipstick.bench;

import java.util.Arrays;
import java.util.concurrent.Callable;

/** The median time of a few runs, in milliseconds, after some that do not count. */
final class Timing {
    private static final int MOST_RUNS = 25;
    private static final long ENOUGH_NANOS = 2_000_000_000L;

    /** Two cores compile slowly while they work; a server that has run for a morning has done so. */
    private static final long WARMING_NANOS = 4_000_000_000L;

    private Timing() {}

    static double median(Callable<?> work) throws Exception {
        long warming = System.nanoTime();
        do {
            work.call();
        } while (System.nanoTime() - warming < WARMING_NANOS);
        double[] runs = new double[MOST_RUNS];
        int done = 0;
        long start = System.nanoTime();
        while (done < MOST_RUNS && (done < 3 || System.nanoTime() - start < ENOUGH_NANOS)) {
            long begin = System.nanoTime();
            work.call();
            runs[done++] = (System.nanoTime() - begin) / 1e6;
        }
        double[] sorted = Arrays.copyOf(runs, done);
        Arrays.sort(sorted);
        return sorted[done / 2];
    }
}
