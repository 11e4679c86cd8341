package dipstick.core.criteria;

import dipstick.core.records.FieldType;
import dipstick.core.text.NormalText;

/**
 * A text of a document as it was written, which is shown, and as it is compared. Two that are compared alike are equal.
 */
public record ComparedText(String written, String compared) {
    /** As the values of a field of this type are compared. */
    static ComparedText of(String written, FieldType type) {
        return new ComparedText(written, type == FieldType.IDENTIFIER ? written : NormalText.of(written));
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof ComparedText that && compared.equals(that.compared);
    }

    @Override
    public int hashCode() {
        return compared.hashCode();
    }
}
