package dipstick.core.records;

import dipstick.core.text.NormalText;
import dipstick.core.time.DateRange;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** What a cell holds once it is read; a missing value is no {@code FieldValue} at all. */
public sealed interface FieldValue {
    /** Text as it was written, trimmed, not empty. */
    record OfText(String text) implements FieldValue {}

    /** Several texts as they were written, such as keywords; at least one, none of them empty. */
    record OfTexts(List<String> texts) implements FieldValue {
        private static final String SEPARATOR = ";";

        public OfTexts {
            texts = List.copyOf(texts);
        }

        /** The texts of a cell, separated by {@code ;}; nothing where there are none. */
        public static Optional<OfTexts> parse(String cell) {
            List<String> texts = Arrays.stream(cell.split(SEPARATOR, -1))
                    .map(NormalText::identifier)
                    .filter(text -> !text.isEmpty())
                    .toList();
            return texts.isEmpty() ? Optional.empty() : Optional.of(new OfTexts(texts));
        }

        /** A cell that is parsed into the same texts. */
        public String written() {
            return String.join(SEPARATOR + " ", texts);
        }
    }

    /** At least one. */
    record OfCodings(List<Coding> codings) implements FieldValue {
        public OfCodings {
            codings = List.copyOf(codings);
        }
    }

    record OfNumber(double number) implements FieldValue {}

    record OfDate(DateRange days) implements FieldValue {}

    record OfFlag(boolean flag) implements FieldValue {}
}
