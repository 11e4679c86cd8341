package dipstick.core.doubts;

import dipstick.core.criteria.Criterion;
import dipstick.core.criteria.Lack;
import dipstick.core.criteria.ShouldHave;
import dipstick.core.criteria.Test;
import dipstick.core.doubts.Doubt.Kind;
import dipstick.core.evaluate.Level;
import dipstick.core.evaluate.Reading;
import dipstick.core.wording.SentencePrinter;
import java.util.BitSet;
import java.util.List;

/** What should be on record, and says that something should not: it lists whoever has it. */
final class LackDoubts {
    private LackDoubts() {}

    static List<Doubt> of(Reading reading) {
        return reading.set().shouldHave().map(ShouldHave::of).orElse(List.of()).stream()
                .filter(criterion -> !criterion.off())
                .flatMap(criterion -> Lack.turned(criterion.test()).map(has -> doubt(reading, criterion, has)).stream())
                .toList();
    }

    private static Doubt doubt(Reading reading, Criterion criterion, Test has) {
        int listed = listedFor(reading, criterion);
        String people = listed == 1 ? "1 person is" : listed + " people are";
        return Doubt.of(
                criterion.id(),
                Kind.SAYS_A_LACK,
                "“Should have” names what should be on record. As it stands, " + people + " on the list for this: "
                        + new SentencePrinter(reading.asOf()).print(has).text()
                        + ". Of those who are not on it this is not so.");
    }

    /** On the list, and do not meet it. */
    private static int listedFor(Reading reading, Criterion criterion) {
        BitSet listed = (BitSet) reading.list().yes().clone();
        for (Level level : reading.levels()) {
            if (level.criterion().id().equals(criterion.id())) {
                listed.andNot(level.alone().possible());
            }
        }
        return listed.cardinality();
    }
}
