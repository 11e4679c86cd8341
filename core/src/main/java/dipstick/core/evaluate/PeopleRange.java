package dipstick.core.evaluate;

import dipstick.core.population.Runs;
import java.util.function.Consumer;
import java.util.stream.IntStream;

/**
 * The people of one block of {@link Runs}, from one number up to another. Ranges are answered independently of each other,
 * and each begins at a word of the bit sets, so that threads that take different ranges never write to the same place.
 *
 * @param end the number after the last
 */
record PeopleRange(int first, int end) {
    int size() {
        return end - first;
    }

    int block() {
        return first / Runs.PEOPLE;
    }

    /** Hands each range of so many people to {@code work}, on all cores. */
    static void forEach(int people, Consumer<PeopleRange> work) {
        int ranges = (people + Runs.PEOPLE - 1) / Runs.PEOPLE;
        Patience patience = Patience.here();
        IntStream numbers = IntStream.range(0, ranges);
        (ranges > 1 ? numbers.parallel() : numbers)
                .mapToObj(range -> new PeopleRange(range * Runs.PEOPLE, Math.min(people, (range + 1) * Runs.PEOPLE)))
                .forEach(range -> {
                    patience.check();
                    work.accept(range);
                });
    }
}
