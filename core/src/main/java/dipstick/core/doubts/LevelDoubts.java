package dipstick.core.doubts;

import dipstick.core.doubts.Doubt.Kind;
import dipstick.core.evaluate.Answer;
import dipstick.core.evaluate.Level;
import dipstick.core.evaluate.Reading;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;

/** Criteria at which nobody or everybody falls, or after which too much cannot be told. */
final class LevelDoubts {
    /** Above a tenth of those left. */
    private static final int TOLERATED = 10;

    private LevelDoubts() {}

    static List<Doubt> of(Reading reading) {
        List<Doubt> found = new ArrayList<>();
        BitSet before = reading.people();
        for (Level level : reading.levels()) {
            Answer left = level.remaining().orElseGet(() -> reading.eligibleAnd(level.alone()));
            BitSet possible = left.possible();
            boolean isAsked = level.section() == Level.Section.SHOULD_HAVE;
            BitSet from = isAsked ? reading.eligible().possible() : before;
            if (!from.isEmpty()) {
                String id = level.criterion().id();
                if (possible.isEmpty()) {
                    found.add(Doubt.of(
                            id, Kind.REMOVES_EVERYBODY, isAsked ? "Nobody eligible has it." : "Nobody is left after it."));
                } else if (possible.equals(from) && left.unsureCount() == 0) {
                    found.add(Doubt.of(
                            id, Kind.REMOVES_NOBODY, isAsked ? "Everybody eligible has it." : "It removes nobody."));
                }
                if (left.unsureCount() * TOLERATED > possible.cardinality()) {
                    found.add(Doubt.of(
                            id,
                            Kind.MANY_UNSURE,
                            "Of " + left.unsureCount() + " of " + possible.cardinality()
                                    + (isAsked ? " who may have it" : " who may be left") + " we can't tell."));
                }
            }
            if (!isAsked) {
                before = possible;
            }
        }
        return found;
    }
}
