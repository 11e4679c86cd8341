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
        Answer before = new Answer(reading.people(), new BitSet());
        for (Level level : reading.levels()) {
            Answer left = level.remaining().orElseGet(() -> reading.eligibleAnd(level.alone()));
            BitSet possible = left.possible();
            boolean isAsked = level.section() == Level.Section.SHOULD_HAVE;
            Answer from = isAsked ? reading.eligible() : before;
            if (!from.possible().isEmpty()) {
                String id = level.criterion().id();
                if (possible.isEmpty()) {
                    found.add(Doubt.of(
                            id,
                            Kind.REMOVES_EVERYBODY,
                            isAsked ? "Nobody eligible has it." : "Nobody is left after it."));
                } else if (left.equals(from)) {
                    found.add(Doubt.of(
                            id, Kind.REMOVES_NOBODY, isAsked ? "Everybody eligible has it." : "It removes nobody."));
                }
                // Only those of whom this criterion itself cannot tell, so that it is said where it can be mended.
                BitSet unsure = (BitSet) left.unsure().clone();
                unsure.and(level.alone().unsure());
                if (unsure.cardinality() * TOLERATED > possible.cardinality()) {
                    found.add(Doubt.of(
                            id,
                            Kind.MANY_UNSURE,
                            "Of " + unsure.cardinality() + " of " + possible.cardinality()
                                    + (isAsked ? " who may have it" : " who may be left") + " we can't tell."));
                }
            }
            if (!isAsked) {
                before = left;
            }
        }
        return found;
    }
}
