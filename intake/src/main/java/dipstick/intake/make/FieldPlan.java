package dipstick.intake.make;

import dipstick.core.records.Coding;
import dipstick.core.records.Field;
import dipstick.core.records.FieldValue;
import dipstick.core.text.NormalText;
import dipstick.core.time.DateRange;
import dipstick.intake.make.Trouble.Reason;
import dipstick.intake.rows.Cell;
import dipstick.intake.rows.Row;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.regex.Pattern;

/** A field of a record bound to the columns of one file. */
final class FieldPlan {
    private static final char NOT_DECODED = '\uFFFD';

    private final Field field;
    private final MakerPlan maker;
    private final WrittenDates dates;
    private final WrittenNumbers numbers;

    FieldPlan(Field field, MakerPlan maker, WrittenDates dates, WrittenNumbers numbers) {
        this.field = field;
        this.maker = maker;
        this.dates = dates;
        this.numbers = numbers;
    }

    Field field() {
        return field;
    }

    /** Puts what is made of a row among the values of its record, or says why it cannot be. */
    void make(Row row, MakerPlan.One one, Map<String, FieldValue> values, Consumer<Trouble> troubles) {
        MakerPlan.Made made = maker.make(row, one);
        String text = made.cell().text();
        if (!made.known()) {
            troubles.accept(trouble(
                    row,
                    one,
                    Reason.WORD_UNKNOWN,
                    text,
                    "“" + shown(text) + "” is not among the words that are translated."));
        } else if (made.cell() instanceof Cell.Broken) {
            troubles.accept(trouble(
                    row, one, Reason.BROKEN_CELL, text, "The workbook itself says “" + shown(text) + "” here."));
        } else if (text.indexOf(NOT_DECODED) >= 0 || text.indexOf('\0') >= 0) {
            troubles.accept(trouble(
                    row,
                    one,
                    Reason.NOT_DECODED,
                    text,
                    "The cell holds letters that are none in the encoding of the file."));
        } else if (!text.isEmpty()) {
            value(made.cell(), text, row, one, values, troubles);
        }
    }

    private void value(
            Cell cell,
            String text,
            Row row,
            MakerPlan.One one,
            Map<String, FieldValue> values,
            Consumer<Trouble> troubles) {
        switch (field.type()) {
            case IDENTIFIER, TEXT -> values.put(field.name(), new FieldValue.OfText(text));
            case TEXTS -> several(text).ifPresent(texts -> values.put(field.name(), new FieldValue.OfTexts(texts)));
            case CODINGS -> {
                List<Coding> codings = Coding.parse(
                        several(text).map(texts -> String.join(";", texts)).orElse(""));
                if (!codings.isEmpty()) {
                    values.put(field.name(), new FieldValue.OfCodings(codings));
                }
            }
            case NUMBER -> number(cell, text, row, one, values, troubles);
            case DATE -> date(cell, text, row, one, values, troubles);
            case FLAG -> flag(text, row, one, values, troubles);
        }
    }

    private Optional<List<String>> several(String text) {
        String between = maker.maker().split().orElse(";");
        List<String> texts = Arrays.stream(text.split(Pattern.quote(between), -1))
                .map(NormalText::identifier)
                .filter(one -> !one.isEmpty())
                .toList();
        return texts.isEmpty() ? Optional.empty() : Optional.of(texts);
    }

    /** A value that is no plain number is kept as text, with where its bound lies; no record is lost for it. */
    private void number(
            Cell cell,
            String text,
            Row row,
            MakerPlan.One one,
            Map<String, FieldValue> values,
            Consumer<Trouble> troubles) {
        boolean isValue = field.name().equals("value");
        if (cell instanceof Cell.Numeric(double number)) {
            values.put(field.name(), new FieldValue.OfNumber(number));
            return;
        }
        switch (numbers.read(text)) {
            case WrittenNumbers.Outcome.Plain(double number, String unit)
            when isValue || unit.isEmpty() -> {
                values.put(field.name(), new FieldValue.OfNumber(number));
                if (!unit.isEmpty()) {
                    values.putIfAbsent("unit", new FieldValue.OfText(unit));
                }
            }
            case WrittenNumbers.Outcome.Bound(double number, String unit)
            when isValue -> {
                values.put(field.name(), new FieldValue.OfNumber(number));
                values.putIfAbsent("value_text", new FieldValue.OfText(text));
                if (!unit.isEmpty()) {
                    values.putIfAbsent("unit", new FieldValue.OfText(unit));
                }
            }
            default -> {
                if (isValue) {
                    values.putIfAbsent("value_text", new FieldValue.OfText(text));
                } else {
                    troubles.accept(
                            trouble(row, one, Reason.NO_NUMBER, text, "“" + shown(text) + "” is not a number."));
                }
            }
        }
    }

    private void date(
            Cell cell,
            String text,
            Row row,
            MakerPlan.One one,
            Map<String, FieldValue> values,
            Consumer<Trouble> troubles) {
        if (cell instanceof Cell.Moment(var moment)) {
            values.put(
                    field.name(), new FieldValue.OfDate(DateRange.between(moment.toLocalDate(), moment.toLocalDate())));
            return;
        }
        switch (dates.read(text)) {
            case WrittenDates.Outcome.Read(DateRange days) -> values.put(field.name(), new FieldValue.OfDate(days));
            case WrittenDates.Outcome.EitherWay _ ->
                troubles.accept(trouble(
                        row,
                        one,
                        Reason.DATE_EITHER_WAY,
                        text,
                        "“" + shown(text)
                                + "” could be either way round: say whether the day or the month comes first."));
            case WrittenDates.Outcome.NoDate _ ->
                troubles.accept(trouble(
                        row, one, Reason.NO_DATE, text, "“" + shown(text) + "” is not a date of a day that exists."));
        }
    }

    private void flag(
            String text, Row row, MakerPlan.One one, Map<String, FieldValue> values, Consumer<Trouble> troubles) {
        WrittenFlags.read(text)
                .ifPresentOrElse(
                        flag -> values.put(field.name(), new FieldValue.OfFlag(flag)),
                        () -> troubles.accept(trouble(
                                row, one, Reason.NO_FLAG, text, "“" + shown(text) + "” is neither yes nor no.")));
    }

    private Trouble trouble(Row row, MakerPlan.One one, Reason reason, String cell, String said) {
        String column = maker.maker().each().isPresent() ? one.name() : maker.columnNames();
        return new Trouble(row.line(), column, reason, shown(cell), said);
    }

    private static String shown(String cell) {
        return cell.length() <= 60 ? cell : cell.substring(0, 60) + "…";
    }
}
