package dipstick.core.evaluate;

import dipstick.core.population.Population;
import java.util.stream.IntStream;

/**
 * Some people whose records were read anew: a population of their own, with the number that each of them has among
 * everybody. All others are as they were, under the numbers that they had.
 *
 * @param numbers by the number among {@code people}
 */
public record ReadAnew(Population people, int[] numbers) {
    /** @param everybody of whom these are some */
    public static ReadAnew of(Population people, Population everybody) {
        return new ReadAnew(
                people,
                IntStream.range(0, people.size())
                        .map(person -> everybody.find(people.idOf(person)).orElseThrow())
                        .toArray());
    }
}
