package dipstick.core.export;

import dipstick.core.population.Column;
import dipstick.core.population.Population;
import dipstick.core.records.Field;
import dipstick.core.records.Fields;
import dipstick.core.time.PartialDate;
import dipstick.core.wording.FieldWords;
import java.util.stream.Collectors;

/** A field of people as a column of a table that can come back in. */
public final class FieldCell {
    private FieldCell() {}

    /** As files that are brought in name it: one that they do not know says its type (criteria.md section 1). */
    public static String header(Field field) {
        boolean known = Fields.PERSON.find(field.name()).isPresent();
        return known || field.type().isText()
                ? field.name()
                : field.name() + ":" + field.type().word();
    }

    /** What it says of somebody: days as ISO 8601 writes them, flags as yes and no, texts as they are written; empty where it is not on record. */
    public static String of(Population records, Field field, int person) {
        Column column = records.column(field);
        if (column.isMissing(person)) {
            return "";
        }
        int code = column.codes().get(person);
        return switch (column) {
            case Column.OfText texts -> texts.writtenAt(person);
            case Column.OfNumber numbers -> FieldWords.number(numbers.numbers().get(code));
            case Column.OfDate dates -> PartialDate.written(dates.days().get(code));
            case Column.OfFlag _ -> code == Column.OfFlag.TRUE ? "yes" : "no";
            case Column.OfTexts texts ->
                texts.sets().get(code).stream().map(texts.words()::get).collect(Collectors.joining("; "));
        };
    }
}
