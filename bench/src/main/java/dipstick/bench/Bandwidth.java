package dipstick.bench;

import java.util.stream.IntStream;

/** How fast this machine reads memory, by summing more numbers than its caches hold. */
final class Bandwidth {
    private static final int NUMBERS = 1 << 26;

    private Bandwidth() {}

    /** Gigabytes a second, read by so many threads at once. */
    static double gigabytesPerSecond(int threads) throws Exception {
        long[] numbers = new long[NUMBERS];
        int share = NUMBERS / threads;
        double millis = Timing.median(() -> IntStream.range(0, threads)
                .parallel()
                .mapToLong(thread -> sum(numbers, thread * share, (thread + 1) * share))
                .sum());
        return NUMBERS * 8.0 / millis / 1e6;
    }

    private static long sum(long[] numbers, int from, int to) {
        long one = 0;
        long two = 0;
        long three = 0;
        long four = 0;
        for (int i = from; i < to; i += 4) {
            one += numbers[i];
            two += numbers[i + 1];
            three += numbers[i + 2];
            four += numbers[i + 3];
        }
        return one + two + three + four;
    }
}
