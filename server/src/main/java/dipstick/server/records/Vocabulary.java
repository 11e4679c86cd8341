package dipstick.server.records;

import dipstick.core.population.Column;
import dipstick.core.population.Population;
import dipstick.core.records.Field;
import java.util.List;

/** The fields of people and events, with the values that occur in the records, for choosing from. */
record Vocabulary(List<FieldWords> person, List<FieldWords> event) {
    /** A field with more different values than these, such as a phone number, is not chosen from a list. */
    private static final int MOST_VALUES = 60;

    /** @param values most frequent first; none where there are too many to choose from */
    record FieldWords(String name, String type, List<ValueCounts.ValueCount> values) {}

    static Vocabulary of(Population population) {
        return new Vocabulary(
                population.personFields().all().stream()
                        .map(field -> words(field, population.column(field)))
                        .toList(),
                population.events().fields().tested().stream()
                        .map(field -> words(field, population.events().column(field)))
                        .toList());
    }

    private static FieldWords words(Field field, Column column) {
        List<ValueCounts.ValueCount> values = column instanceof Column.OfText texts && texts.codeCount() <= MOST_VALUES
                ? ValueCounts.of(texts)
                : List.of();
        return new FieldWords(field.name(), field.type().word(), values);
    }
}
