package dipstick.server.records;

import dipstick.core.export.FieldCell;
import dipstick.core.records.FieldValue;
import dipstick.core.text.NormalText;

/**
 * What a source says otherwise than another one, whose word stays.
 *
 * @param recordKey the record of which it says it; empty where it is of the person
 * @param field its name
 * @param source that says it; empty for none by name
 * @param said what it says
 * @param kept what stays
 * @param owner the source that brought what stays
 */
public record Otherwise(
        String person, String recordKey, String field, String source, String said, String kept, String owner) {
    /** Whether two say the same, text compared as text is (criteria.md, section 1). */
    static boolean isSame(FieldValue one, FieldValue other) {
        return one.equals(other) || isSame(FieldCell.of(one), FieldCell.of(other));
    }

    static boolean isSame(String one, String other) {
        return NormalText.of(one).equals(NormalText.of(other));
    }
}
