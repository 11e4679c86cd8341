package dipstick.intake.messages;

import dipstick.intake.rows.OwnColumn;
import dipstick.intake.rows.OwnRow;

/** A coded field (CE, CWE): a code, its text and system, and the same in another system. */
final class Coded {
    private Coded() {}

    static void putInto(OwnRow row, Segment segment, int field) {
        String code = plain(segment.get(field, 1));
        String text = segment.get(field, 2);
        String other = plain(segment.get(field, 4));
        String otherSystem = plain(segment.get(field, 6));
        boolean onlyOther = code.isEmpty() && !other.isEmpty();
        row.put(OwnColumn.CODE, onlyOther ? other : code)
                .put(OwnColumn.SYSTEM, onlyOther ? otherSystem : plain(segment.get(field, 3)))
                .put(OwnColumn.TEXT, words(segment, field, text));
        if (!code.isEmpty() && !other.isEmpty()) {
            row.put(OwnColumn.ALSO_CODED, otherSystem.isEmpty() ? other : other + "|" + otherSystem);
        }
    }

    private static String words(Segment segment, int field, String text) {
        if (!text.isEmpty()) {
            return text;
        }
        String other = segment.get(field, 5);
        String original = segment.get(field, 9);
        return !other.isEmpty() ? other : !original.isEmpty() ? original : segment.get(field, 1);
    }

    /** What parts codings in a cell is no part of one. */
    private static String plain(String text) {
        return text.replace(';', ' ').strip();
    }
}
