package dipstick.core.doubts;

import dipstick.core.criteria.Criterion;
import dipstick.core.criteria.Test;
import dipstick.core.doubts.Doubt.Kind;
import dipstick.core.evaluate.Level;
import dipstick.core.evaluate.Level.Section;
import dipstick.core.evaluate.Reading;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;

/** Two criteria that say the same, or that nobody can meet together. */
final class PairDoubts {
    private PairDoubts() {}

    static List<Doubt> of(Reading reading) {
        List<Doubt> found = new ArrayList<>();
        List<Level> levels = reading.levels();
        for (int i = 0; i < levels.size(); i++) {
            for (int j = 0; j < i; j++) {
                compare(levels.get(j), levels.get(i), found);
            }
        }
        return found;
    }

    private static void compare(Level first, Level second, List<Doubt> found) {
        Criterion one = first.criterion();
        Criterion other = second.criterion();
        if (one.test().equals(other.test())) {
            String words = first.section() == second.section()
                    ? "It says the same as “" + one.id() + "”."
                    : "It says the same as “" + one.id() + "” in another section.";
            found.add(new Doubt(other.id(), Kind.SAME_AS_ANOTHER, words, one.id()));
        } else if (isOpposite(one.test(), other.test())) {
            found.add(new Doubt(
                    other.id(), Kind.SAME_AS_ANOTHER, "It says the opposite of “" + one.id() + "”.", one.id()));
        } else if (first.section() == Section.INCLUDE
                && second.section() == Section.INCLUDE
                && areApart(first, second)) {
            found.add(new Doubt(
                    other.id(), Kind.NOBODY_MEETS_BOTH, "Nobody meets both this and “" + one.id() + "”.", one.id()));
        }
    }

    private static boolean isOpposite(Test one, Test other) {
        return new Test.Not(one).equals(other) || new Test.Not(other).equals(one);
    }

    /** Each has somebody, but they have nobody in common. */
    private static boolean areApart(Level first, Level second) {
        BitSet one = first.alone().possible();
        BitSet other = second.alone().possible();
        return !one.isEmpty() && !other.isEmpty() && !one.intersects(other);
    }
}
