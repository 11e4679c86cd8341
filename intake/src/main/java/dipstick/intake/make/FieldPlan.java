package dipstick.intake.make;

import dipstick.core.records.Coding;
import dipstick.core.records.Field;
import dipstick.core.records.FieldValue;
import dipstick.core.text.NormalText;
import dipstick.core.text.Shortened;
import dipstick.core.time.DateRange;
import dipstick.intake.describe.Maker.Unreadable;
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
    private static final int LONGEST_SHOWN = 60;

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

    /** Where a record of a row gathers its values and its troubles. */
    record Into(Row row, MakerPlan.One one, Map<String, FieldValue> values, Consumer<Trouble> troubles) {}

    /** Puts what is made of a row among the values of its record, or says why it cannot be. */
    void make(Into into) {
        MakerPlan.Made made = maker.make(into.row(), into.one());
        String text = made.cell().text();
        if (!made.known()) {
            trouble(into, Reason.WORD_UNKNOWN, text, " is not among the words that are translated.");
        } else if (made.cell() instanceof Cell.Broken) {
            trouble(into, Reason.BROKEN_CELL, text, " is what the workbook itself says here.");
        } else if (text.indexOf(NOT_DECODED) >= 0 || text.indexOf('\0') >= 0) {
            trouble(into, Reason.NOT_DECODED, text, " holds letters that are none in the encoding of the file.");
        } else if (!text.isEmpty()) {
            value(made.cell(), text, into);
        }
    }

    private void value(Cell cell, String text, Into into) {
        switch (field.type()) {
            case IDENTIFIER, TEXT -> put(into, new FieldValue.OfText(text));
            case TEXTS -> several(text).ifPresent(texts -> put(into, new FieldValue.OfTexts(texts)));
            case CODINGS -> {
                List<Coding> codings = Coding.parse(
                        several(text).map(texts -> String.join(";", texts)).orElse(""));
                if (!codings.isEmpty()) {
                    put(into, new FieldValue.OfCodings(codings));
                }
            }
            case NUMBER -> number(cell, text, into);
            case DATE -> date(cell, text, into);
            case FLAG ->
                WrittenFlags.read(text)
                        .ifPresentOrElse(
                                flag -> put(into, new FieldValue.OfFlag(flag)),
                                () -> trouble(into, Reason.NO_FLAG, text, " is neither yes nor no."));
        }
    }

    private void put(Into into, FieldValue value) {
        into.values().put(field.name(), value);
    }

    private Optional<List<String>> several(String text) {
        String between = maker.maker().split().orElse(";");
        List<String> texts = Arrays.stream(text.split(Pattern.quote(between), -1))
                .map(NormalText::identifier)
                .filter(one -> !one.isEmpty())
                .toList();
        return texts.isEmpty() ? Optional.empty() : Optional.of(texts);
    }

    private void number(Cell cell, String text, Into into) {
        if (cell instanceof Cell.Numeric(double number)) {
            put(into, new FieldValue.OfNumber(number));
        } else if (field.name().equals("value")) {
            valueOf(text, into.values());
        } else if (numbers.read(text) instanceof WrittenNumbers.Outcome.Plain(double number, String unit)
                && unit.isEmpty()) {
            put(into, new FieldValue.OfNumber(number));
        } else {
            trouble(into, Reason.NO_NUMBER, text, " is not a number.");
        }
    }

    /** A value that is no plain number is kept as text, with where its bound lies; no record is lost for it. */
    private void valueOf(String text, Map<String, FieldValue> values) {
        switch (numbers.read(text)) {
            case WrittenNumbers.Outcome.Plain(double number, String unit) -> valueOf(number, unit, values);
            case WrittenNumbers.Outcome.Bound(double number, String unit) -> {
                valueOf(number, unit, values);
                values.putIfAbsent("value_text", new FieldValue.OfText(text));
            }
            case WrittenNumbers.Outcome.NoNumber _ -> values.putIfAbsent("value_text", new FieldValue.OfText(text));
        }
    }

    private void valueOf(double number, String unit, Map<String, FieldValue> values) {
        values.put(field.name(), new FieldValue.OfNumber(number));
        if (!unit.isEmpty()) {
            values.putIfAbsent("unit", new FieldValue.OfText(unit));
        }
    }

    private void date(Cell cell, String text, Into into) {
        if (cell instanceof Cell.Moment(var moment)) {
            put(into, new FieldValue.OfDate(DateRange.between(moment.toLocalDate(), moment.toLocalDate())));
            return;
        }
        switch (dates.read(text)) {
            case WrittenDates.Outcome.Read(DateRange days) -> put(into, new FieldValue.OfDate(days));
            case WrittenDates.Outcome.EitherWay _ ->
                trouble(
                        into,
                        Reason.DATE_EITHER_WAY,
                        text,
                        " could be either way round: say whether the day or the month comes first.");
            case WrittenDates.Outcome.NoDate _ ->
                trouble(into, Reason.NO_DATE, text, " is not a date of a day that exists.");
        }
    }

    /** @param said goes on behind the cell in quotes */
    private void trouble(Into into, Reason reason, String cell, String said) {
        String column = maker.maker().each().isPresent() ? into.one().name() : maker.columnNames();
        String shown = Shortened.toldSo(LONGEST_SHOWN, cell);
        boolean leftBlank = maker.maker().unreadable().equals(Optional.of(Unreadable.BLANK));
        into.troubles()
                .accept(new Trouble(
                        into.row().line(),
                        column,
                        leftBlank ? Reason.LEFT_BLANK : reason,
                        shown,
                        "“" + shown + "”" + said + (leftBlank ? " It is left blank." : "")));
    }
}
