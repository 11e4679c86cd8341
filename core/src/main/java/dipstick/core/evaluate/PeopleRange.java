package dipstick.core.evaluate;

import java.util.function.Consumer;
import java.util.stream.IntStream;

/**
 * People from one number up to another. Ranges are answered independently of each other, and each begins at a word of
 * the bit sets, so that threads that take different ranges never write to the same place.
 *
 * @param end the number after the last
 */
record PeopleRange(int first, int end) {
    /** Few enough that what is counted for each of them stays in a core's cache. */
    private static final int LENGTH = 1 << 13;

    int size() {
        return end - first;
    }

    /** Hands each range of so many people to {@code work}, on all cores. */
    static void forEach(int people, Consumer<PeopleRange> work) {
        int ranges = (people + LENGTH - 1) / LENGTH;
        Patience patience = Patience.here();
        IntStream numbers = IntStream.range(0, ranges);
        (ranges > 1 ? numbers.parallel() : numbers)
                .mapToObj(range -> new PeopleRange(range * LENGTH, Math.min(people, (range + 1) * LENGTH)))
                .forEach(range -> {
                    patience.check();
                    work.accept(range);
                });
    }
}
