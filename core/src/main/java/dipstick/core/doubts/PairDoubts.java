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
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Two criteria that say the same, or that nobody can meet together. Each is looked up among those before it rather than
 * compared with each of them, so that a set of many criteria is not slow for it.
 */
final class PairDoubts {
    /** Beyond so many nobody reads which two nobody meets. */
    private static final int MOST_COMPARED = 50;

    private PairDoubts() {}

    static List<Doubt> of(Reading reading) {
        List<Doubt> found = new ArrayList<>();
        Map<Test, Level> before = new HashMap<>();
        for (Level level : reading.levels()) {
            Test test = level.criterion().test();
            Optional.ofNullable(before.get(test))
                    .ifPresentOrElse(
                            first -> found.add(same(first, level, reading.asOf())), () -> before.put(test, level));
            opposite(test, before)
                    .ifPresent(first -> found.add(doubt(
                            first, level, Kind.SAME_AS_ANOTHER, "It says the opposite of ", ".", reading.asOf())));
        }
        found.addAll(apart(reading));
        return found;
    }

    private static Optional<Level> opposite(Test test, Map<Test, Level> before) {
        Optional<Level> said = Optional.ofNullable(before.get(new Test.Not(test)));
        return said.isPresent() || !(test instanceof Test.Not(var of)) ? said : Optional.ofNullable(before.get(of));
    }

    private static Doubt same(Level first, Level level, LocalDate asOf) {
        String where = first.section() == level.section() ? "." : " in another section.";
        return doubt(first, level, Kind.SAME_AS_ANOTHER, "It says the same as ", where, asOf);
    }

    /** Of the include criteria; where somebody may meet them all, no two of them are apart. */
    private static List<Doubt> apart(Reading reading) {
        List<Level> include = reading.levels().stream()
                .filter(level -> level.section() == Section.INCLUDE)
                .limit(MOST_COMPARED)
                .toList();
        List<BitSet> possible =
                include.stream().map(level -> level.alone().possible()).toList();
        List<Doubt> found = new ArrayList<>();
        if (include.isEmpty() || !isEmpty(possible)) {
            return found;
        }
        for (int i = 0; i < include.size(); i++) {
            for (int j = 0; j < i; j++) {
                if (isApart(possible.get(j), possible.get(i))) {
                    found.add(doubt(
                            include.get(j),
                            include.get(i),
                            Kind.NOBODY_MEETS_BOTH,
                            "Nobody meets both this and ",
                            ".",
                            reading.asOf()));
                }
            }
        }
        return found;
    }

    private static boolean isEmpty(List<BitSet> all) {
        BitSet common = (BitSet) all.getFirst().clone();
        all.forEach(common::and);
        return common.isEmpty();
    }

    /** Each has somebody, but they have nobody in common. */
    private static boolean isApart(BitSet one, BitSet other) {
        return !one.isEmpty() && !other.isEmpty() && !one.intersects(other);
    }

    private static Doubt doubt(Level first, Level level, Kind kind, String words, String end, LocalDate asOf) {
        Criterion named = first.criterion();
        return new Doubt(level.criterion().id(), kind, words + CriterionWords.of(named, asOf) + end, named.id());
    }
}
