package dipstick.intake.make;

import dipstick.core.records.Coding;
import dipstick.core.records.FieldValue;
import dipstick.intake.describe.Lengths;
import dipstick.intake.make.Trouble.Reason;
import dipstick.intake.rows.Row;
import java.util.List;
import java.util.Map;

/** Tells what is too long to be kept; the rest of the file is. */
final class LengthCheck {
    private static final String OF_NUMBER = "A number has at most " + Lengths.NUMBER + " characters.";
    private static final String OF_RECORD =
            "There are more than " + Lengths.RECORD + " characters in what would be kept of it.";

    private final MadeSink sink;

    LengthCheck(MadeSink sink) {
        this.sink = sink;
    }

    /** Whether the row can be known by this number; else it is left out. */
    boolean isNumber(Row row, String number) {
        boolean isShort = isShort(number);
        if (!isShort) {
            sink.trouble(new Trouble(row.line(), "", Reason.TOO_LONG, "", OF_NUMBER));
        }
        return isShort;
    }

    /** Those of these numbers that can be kept; the row is, without the others. */
    List<String> further(Row row, String column, List<String> numbers) {
        List<String> kept = numbers.stream().filter(LengthCheck::isShort).toList();
        if (kept.size() < numbers.size()) {
            sink.trouble(new Trouble(row.line(), column, Reason.LEFT_BLANK, "", OF_NUMBER));
        }
        return kept;
    }

    /** Whether what would be kept of somebody, or of one record, can be; else it is left out. */
    boolean fits(long line, Map<String, FieldValue> values) {
        long length = 0;
        for (FieldValue value : values.values()) {
            length += lengthOf(value);
        }
        if (length > Lengths.RECORD) {
            sink.trouble(new Trouble(line, "", Reason.TOO_LONG, "", OF_RECORD));
        }
        return length <= Lengths.RECORD;
    }

    private static boolean isShort(String number) {
        return number.length() <= Lengths.NUMBER;
    }

    private static int lengthOf(FieldValue value) {
        return switch (value) {
            case FieldValue.OfText(var text) -> text.length();
            case FieldValue.OfTexts texts -> texts.written().length();
            case FieldValue.OfCodings(var codings) -> Coding.written(codings).length();
            case FieldValue.OfNumber _, FieldValue.OfDate _, FieldValue.OfFlag _ -> 0;
        };
    }
}
