package dipstick.core.export;

import dipstick.core.population.Column;
import dipstick.core.population.Population;
import dipstick.core.records.Coding;
import dipstick.core.records.Field;
import dipstick.core.records.FieldValue;
import dipstick.core.records.Fields;
import dipstick.core.time.PartialDate;
import dipstick.core.wording.FieldWords;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** A field of people as a column of a table that can come back in. */
public final class FieldCell {
    private FieldCell() {}

    /** As files that are brought in name it: one that they do not know says its type (criteria.md section 1). */
    public static String header(Field field) {
        return header(field, Fields.PERSON);
    }

    /** @param known the fields whose type a file does not say */
    public static String header(Field field, Fields known) {
        return known.find(field.name()).isPresent() || field.type().isText()
                ? field.name()
                : field.name() + ":" + field.type().word();
    }

    /** What it says of somebody: days as ISO 8601 writes them, flags as yes and no, texts as they are written; empty where it is not on record. */
    public static String of(Population records, Field field, int person) {
        return of(records.column(field), person);
    }

    /** What a column says in a row, as files that are brought in write it. */
    public static String of(Column column, int row) {
        if (column.isMissing(row)) {
            return "";
        }
        int code = column.codes().get(row);
        return switch (column) {
            case Column.OfText texts -> texts.writtenAt(row);
            case Column.OfCodings codings -> Coding.written(codings.at(row));
            case Column.OfNumber numbers -> FieldWords.number(numbers.numbers().get(code));
            case Column.OfDate dates -> PartialDate.written(dates.days().get(code));
            case Column.OfFlag _ -> code == Column.OfFlag.TRUE ? "yes" : "no";
            case Column.OfTexts texts ->
                texts.sets().get(code).stream().map(texts.words()::get).collect(Collectors.joining("; "));
        };
    }

    /** The values of a record as a row of such a file; empty where it has none. */
    public static List<String> row(Map<String, FieldValue> values, List<Field> fields) {
        return fields.stream()
                .map(field -> Optional.ofNullable(values.get(field.name()))
                        .map(FieldCell::of)
                        .orElse(""))
                .toList();
    }

    /** A value as files that are brought in write it. */
    public static String of(FieldValue value) {
        return switch (value) {
            case FieldValue.OfText(String text) -> text;
            case FieldValue.OfNumber(double number) -> FieldWords.number(number);
            case FieldValue.OfDate(var days) -> PartialDate.written(days);
            case FieldValue.OfFlag(boolean flag) -> flag ? "yes" : "no";
            case FieldValue.OfTexts texts -> texts.written();
            case FieldValue.OfCodings(var codings) -> Coding.written(codings);
        };
    }
}
