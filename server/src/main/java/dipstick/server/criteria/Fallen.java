package dipstick.server.criteria;

import dipstick.core.evaluate.Answer;
import dipstick.core.evaluate.Level;
import dipstick.core.evaluate.Reading;
import java.util.BitSet;

/** Who falls at a criterion: left, or perhaps left, before it and not after it. */
final class Fallen {
    private Fallen() {}

    static BitSet at(Reading reading, Level level) {
        BitSet fallen = before(reading, level);
        fallen.andNot(left(reading, level).possible());
        return fallen;
    }

    /** Who is left after a criterion; of what should be on record, the eligible who meet it. */
    static Answer left(Reading reading, Level level) {
        return level.remaining().orElseGet(() -> reading.eligibleAnd(level.alone()));
    }

    private static BitSet before(Reading reading, Level level) {
        if (level.section() == Level.Section.SHOULD_HAVE) {
            return reading.eligible().possible();
        }
        int place = reading.levels().indexOf(level);
        return place == 0
                ? (BitSet) reading.people().clone()
                : reading.levels().get(place - 1).remaining().orElseThrow().possible();
    }
}
