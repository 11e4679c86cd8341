package dipstick.server.readings;

import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.Criterion;
import dipstick.core.criteria.ShouldHave;
import dipstick.core.evaluate.Level;
import dipstick.core.evaluate.LevelCounts;
import dipstick.core.evaluate.LevelCounts.Sides;
import dipstick.core.wording.SentencePrinter;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * How many people there were at each level of a reading, in words.
 *
 * @param levels in the order of the criteria
 */
record ReadingLevels(int people, int deceased, List<LevelView> levels, Sides eligible, Sides has, Sides list) {
    /**
     * @param words the criterion as a sentence, or its id where the criteria of then do not fit the records any more
     * @param remaining nothing for what should be on record
     */
    record LevelView(Level.Section section, String words, Sides alone, Optional<Sides> remaining) {}

    static ReadingLevels of(LevelCounts counts, Optional<CriteriaSet> criteria, LocalDate asOf) {
        Map<String, String> sentences = new HashMap<>();
        criteria.ifPresent(set -> Stream.of(
                        set.include(),
                        set.exclude(),
                        set.shouldHave().map(ShouldHave::of).orElse(List.of()))
                .flatMap(List::stream)
                .forEach(criterion -> sentences.put(criterion.id(), sentence(criterion, asOf))));
        return new ReadingLevels(
                counts.people(),
                counts.deceased(),
                counts.criteria().stream()
                        .map(one -> new LevelView(
                                one.section(),
                                sentences.getOrDefault(one.criterion(), one.criterion()),
                                one.alone(),
                                one.remaining()))
                        .toList(),
                counts.eligible(),
                counts.eligibleAndHas(),
                counts.list());
    }

    private static String sentence(Criterion criterion, LocalDate asOf) {
        return new SentencePrinter(asOf).print(criterion.test()).text();
    }
}
