package dipstick.core.records;

import dipstick.core.text.NormalText;
import dipstick.core.text.WrittenFlag;
import dipstick.core.text.WrittenNumber;
import dipstick.core.time.DateRange;
import dipstick.core.time.PartialDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** Reads the cells of one row, gathering what is wrong with them. */
final class CellReader {
    private final ZoneId zone;
    private final long line;
    private final List<RowProblem> problems = new ArrayList<>();

    CellReader(ZoneId zone, long line) {
        this.zone = zone;
        this.line = line;
    }

    List<RowProblem> problems() {
        return problems;
    }

    Optional<FieldValue> read(Field field, String written) {
        String cell = NormalText.identifier(written);
        if (cell.isEmpty()) {
            return Optional.empty();
        }
        return switch (field.type()) {
            case IDENTIFIER, TEXT -> Optional.of(new FieldValue.OfText(cell));
            case TEXTS -> FieldValue.OfTexts.parse(cell).map(FieldValue.class::cast);
            case CODINGS ->
                Optional.of(Coding.parse(cell)).filter(all -> !all.isEmpty()).map(FieldValue.OfCodings::new);
            case NUMBER -> {
                OptionalDouble number = number(field.name(), cell);
                yield number.isPresent()
                        ? Optional.of(new FieldValue.OfNumber(number.getAsDouble()))
                        : Optional.empty();
            }
            case DATE -> date(field.name(), cell).map(FieldValue.OfDate::new);
            case FLAG -> {
                Optional<Boolean> flag = WrittenFlag.parse(cell);
                if (flag.isEmpty()) {
                    unreadable(field.name(), cell, "a flag: true, false, yes, no, 1 or 0");
                }
                yield flag.map(FieldValue.OfFlag::new);
            }
        };
    }

    private Optional<DateRange> date(String column, String cell) {
        Optional<DateRange> days = PartialDate.parse(cell, zone);
        if (days.isEmpty()) {
            unreadable(column, cell, "a date: 2024, 2024-05, 2024-05-17 or a date-time, of a day that exists");
        }
        return days;
    }

    private OptionalDouble number(String column, String cell) {
        OptionalDouble number = WrittenNumber.parse(cell);
        if (number.isEmpty()) {
            unreadable(column, cell, "a number such as 12, -0.5 or 1e3");
        }
        return number;
    }

    void missing(String column) {
        problems.add(new RowProblem(line, column, "The cell is blank; every row needs it."));
    }

    void problem(String column, String reason) {
        problems.add(new RowProblem(line, column, reason));
    }

    private void unreadable(String column, String cell, String expected) {
        String shown = cell.length() <= 60 ? cell : cell.substring(0, 60) + "…";
        problems.add(new RowProblem(line, column, "“" + shown + "” is not " + expected + "."));
    }
}
