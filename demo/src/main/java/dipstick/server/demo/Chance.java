package dipstick.server.demo;

import java.util.List;
import java.util.SplittableRandom;

/** Random choices that come out the same for the same seed. */
final class Chance {
    private final SplittableRandom random;

    Chance(long seed) {
        this.random = new SplittableRandom(seed);
    }

    /** A source of its own, so that what one person draws does not move what the next one does. */
    static Chance of(long seed, int person) {
        return new Chance(seed * 1_000_003 + person);
    }

    boolean oneIn(int n) {
        return random.nextInt(n) == 0;
    }

    boolean percent(double share) {
        return random.nextDouble(100) < share;
    }

    /** From {@code least} to {@code most}, both inside. */
    int between(int least, int most) {
        return random.nextInt(least, most + 1);
    }

    /** A count whose mean is {@code mean}, as independent happenings come. */
    int happenings(double mean) {
        double limit = Math.exp(-mean);
        double product = random.nextDouble();
        int count = 0;
        while (product > limit) {
            count++;
            product *= random.nextDouble();
        }
        return count;
    }

    <T> T of(List<T> choices) {
        return choices.get(random.nextInt(choices.size()));
    }
}
