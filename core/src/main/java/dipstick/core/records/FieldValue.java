package dipstick.core.records;

import dipstick.core.time.DateRange;
import java.util.List;

/** What a cell holds once it is read; a missing value is no {@code FieldValue} at all. */
public sealed interface FieldValue {
    /** Text as it was written, trimmed, not empty. */
    record OfText(String text) implements FieldValue {}

    /** Several texts as they were written, such as keywords; at least one, none of them empty. */
    record OfTexts(List<String> texts) implements FieldValue {
        public OfTexts {
            texts = List.copyOf(texts);
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
