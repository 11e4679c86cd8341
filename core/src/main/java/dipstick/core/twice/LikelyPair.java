package dipstick.core.twice;

import java.util.EnumSet;
import java.util.Set;

/**
 * Two people who may be one.
 *
 * @param one the number of one of them in their population, the lower one
 * @param other the number of the other
 * @param alike what speaks for it
 */
public record LikelyPair(int one, int other, Set<Alike> alike) {
    /** What two people have in common; each is enough to ask whether they are one. */
    public enum Alike {
        /** They were born on the same day and their names are nearly the same. */
        NAME_AND_BIRTH,
        /** They were born on the same day and have a telephone number in common. */
        PHONE_AND_BIRTH,
        /** Their numbers differ by zeros at the front alone, as where a spreadsheet ate them. */
        NUMBER
    }

    public LikelyPair {
        if (one >= other) {
            throw new IllegalArgumentException("The lower of " + one + " and " + other + " comes first");
        }
        alike = Set.copyOf(alike);
    }

    LikelyPair and(LikelyPair more) {
        EnumSet<Alike> both = EnumSet.copyOf(alike);
        both.addAll(more.alike);
        return new LikelyPair(one, other, both);
    }
}
