package dipstick.server.exchange;

import dipstick.core.export.FieldCell;
import dipstick.core.population.Population;
import dipstick.core.records.Field;
import dipstick.core.records.FieldType;
import dipstick.server.outreach.Listed;
import java.util.function.Function;

/**
 * A column of a table that goes out.
 *
 * @param name as files that are brought in name it
 * @param isNumber whether its cells are numbers, as far as they can be read as such
 * @param value days as ISO 8601 writes them; empty where there is nothing to say
 */
record TableColumn(String name, boolean isNumber, Function<Listed, String> value) {
    static TableColumn of(Column column, Population records) {
        return new TableColumn(column.header(), column == Column.AGE, one -> column.of(one, records));
    }

    /** A field of people that is no {@link Column}. */
    static TableColumn of(Field field, Population records) {
        return new TableColumn(FieldCell.header(field), field.type() == FieldType.NUMBER, one -> {
            var person = records.find(one.person().id());
            return person.isPresent() ? FieldCell.of(records, field, person.getAsInt()) : "";
        });
    }

    /** What a criterion of the set finds, which the set shows besides. */
    static TableColumn ofCriterion(String name) {
        return new TableColumn(name, true, one -> one.shown().getOrDefault(name, ""));
    }

    String of(Listed one) {
        return value.apply(one);
    }
}
