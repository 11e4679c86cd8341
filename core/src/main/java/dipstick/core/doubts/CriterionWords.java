package dipstick.core.doubts;

import dipstick.core.criteria.Criterion;
import dipstick.core.text.Shortened;
import dipstick.core.wording.SentencePrinter;
import java.time.LocalDate;

/** A criterion as a sentence about another one calls it: by its label, else by its own words. */
final class CriterionWords {
    /** Longer sentences are known by how they begin. */
    private static final int LONGEST = 90;

    private CriterionWords() {}

    static String of(Criterion criterion, LocalDate asOf) {
        String words = criterion
                .label()
                .filter(label -> !label.isBlank())
                .orElseGet(
                        () -> new SentencePrinter(asOf).print(criterion.test()).text());
        return "“" + Shortened.toldSo(LONGEST, words) + "”";
    }
}
