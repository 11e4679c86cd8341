package dipstick.core.doubts;

import dipstick.core.criteria.Criterion;
import dipstick.core.criteria.Test;
import dipstick.core.doubts.Doubt.Kind;
import dipstick.core.evaluate.Level;
import dipstick.core.evaluate.Level.Section;
import dipstick.core.evaluate.Reading;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;

/** Two criteria that say the same, or that nobody can meet together. */
final class PairDoubts {
    private PairDoubts() {}

    /** @param possible who meets it, or may */
    private record Alone(Level level, BitSet possible) {
        /** Each has somebody, but they have nobody in common. */
        boolean isApartFrom(Alone other) {
            return !possible.isEmpty() && !other.possible.isEmpty() && !possible.intersects(other.possible);
        }
    }

    static List<Doubt> of(Reading reading) {
        List<Doubt> found = new ArrayList<>();
        List<Alone> all = reading.levels().stream()
                .map(level -> new Alone(level, level.alone().possible()))
                .toList();
        for (int i = 0; i < all.size(); i++) {
            for (int j = 0; j < i; j++) {
                compare(all.get(j), all.get(i), reading.asOf(), found);
            }
        }
        return found;
    }

    private static void compare(Alone first, Alone second, LocalDate asOf, List<Doubt> found) {
        Criterion one = first.level().criterion();
        Criterion other = second.level().criterion();
        String called = CriterionWords.of(one, asOf);
        if (one.test().equals(other.test())) {
            String words = first.level().section() == second.level().section()
                    ? "It says the same as " + called + "."
                    : "It says the same as " + called + " in another section.";
            found.add(new Doubt(other.id(), Kind.SAME_AS_ANOTHER, words, one.id()));
        } else if (isOpposite(one.test(), other.test())) {
            found.add(new Doubt(other.id(), Kind.SAME_AS_ANOTHER, "It says the opposite of " + called + ".", one.id()));
        } else if (first.level().section() == Section.INCLUDE
                && second.level().section() == Section.INCLUDE
                && first.isApartFrom(second)) {
            found.add(new Doubt(
                    other.id(), Kind.NOBODY_MEETS_BOTH, "Nobody meets both this and " + called + ".", one.id()));
        }
    }

    private static boolean isOpposite(Test one, Test other) {
        return new Test.Not(one).equals(other) || new Test.Not(other).equals(one);
    }
}
