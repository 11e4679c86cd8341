package dipstick.server.records;

import dipstick.core.export.FieldCell;
import dipstick.core.population.Column;
import dipstick.core.population.Population;
import dipstick.core.records.FieldValue;
import dipstick.core.text.NormalText;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** Finds people by several of their fields together, compared as text is. */
final class PeopleByFields {
    private final Population population;
    private final Map<Set<String>, Map<String, List<String>>> indexes = new HashMap<>();

    PeopleByFields(Population population) {
        this.population = population;
    }

    /** @param fields by name; each of them has a value */
    List<String> find(Map<String, FieldValue> fields) {
        Map<String, FieldValue> inOrder = new TreeMap<>(fields);
        String key = inOrder.values().stream()
                .map(value -> NormalText.of(FieldCell.of(value)))
                .collect(Collectors.joining("\u0000"));
        return indexes.computeIfAbsent(Set.copyOf(inOrder.keySet()), _ -> index(List.copyOf(inOrder.keySet())))
                .getOrDefault(key, List.of());
    }

    private Map<String, List<String>> index(List<String> names) {
        List<Column> columns = names.stream()
                .map(name ->
                        population.column(population.personFields().find(name).orElseThrow()))
                .toList();
        Map<String, List<String>> index = new HashMap<>();
        for (int person = 0; person < population.size(); person++) {
            int row = person;
            if (columns.stream().noneMatch(column -> column.isMissing(row))) {
                String key = columns.stream()
                        .map(column -> NormalText.of(FieldCell.of(column, row)))
                        .collect(Collectors.joining("\u0000"));
                index.merge(key, List.of(population.idOf(person)), PeopleByFields::and);
            }
        }
        return index;
    }

    private static List<String> and(List<String> some, List<String> more) {
        return java.util.stream.Stream.concat(some.stream(), more.stream()).toList();
    }
}
