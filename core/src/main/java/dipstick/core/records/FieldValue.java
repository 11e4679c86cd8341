package dipstick.core.records;

import dipstick.core.time.DateRange;

/** What a cell holds once it is read; a missing value is no {@code FieldValue} at all. */
public sealed interface FieldValue {
    /** Text as it was written, trimmed, not empty. */
    record OfText(String text) implements FieldValue {}

    record OfNumber(double number) implements FieldValue {}

    record OfDate(DateRange days) implements FieldValue {}

    record OfFlag(boolean flag) implements FieldValue {}
}
