package dipstick.intake.rows;

import dipstick.core.text.NormalText;
import java.math.BigDecimal;
import java.time.LocalDateTime;
import java.time.LocalTime;

/** What stands in one cell. Text is as it was written; workbooks also hold numbers and days as such. */
public sealed interface Cell {
    record Text(String written) implements Cell {
        private static final Text BLANK = new Text("");
    }

    record Numeric(double number) implements Cell {}

    record Moment(LocalDateTime moment) implements Cell {}

    record Truth(boolean truth) implements Cell {}

    /** What the workbook itself could not work out, such as {@code #DIV/0!}. */
    record Broken(String said) implements Cell {}

    static Cell blank() {
        return Text.BLANK;
    }

    /** The cell as text, ends trimmed: numbers as plain figures, days as ISO 8601. */
    default String text() {
        return switch (this) {
            case Text(String written) -> NormalText.identifier(written);
            case Numeric(double number) ->
                Double.isFinite(number)
                        ? BigDecimal.valueOf(number).stripTrailingZeros().toPlainString()
                        : String.valueOf(number);
            case Moment(LocalDateTime moment) ->
                moment.toLocalTime().equals(LocalTime.MIDNIGHT)
                        ? moment.toLocalDate().toString()
                        : moment.toString();
            case Truth(boolean truth) -> truth ? "yes" : "no";
            case Broken(String said) -> said;
        };
    }

    default boolean isBlank() {
        return this instanceof Text(String written) && (written.isEmpty() || text().isEmpty());
    }
}
