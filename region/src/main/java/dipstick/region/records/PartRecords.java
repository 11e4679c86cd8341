package dipstick.region.records;

import dipstick.core.parts.AskedRecords;
import dipstick.core.population.ConceptRows;
import dipstick.core.population.FieldRows;
import dipstick.core.population.Population;
import dipstick.core.population.PopulationBuilder;
import dipstick.core.records.Field;
import dipstick.core.records.RecordFields;
import java.io.IOException;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import org.apache.hadoop.fs.Path;

/**
 * The people and events of a part that a set asks for: the columns that it looks at, and the events of those concepts that its
 * kinds and terms mean.
 *
 * @param people how many rows of people there are
 * @param events how many rows of events there are, those that were passed over too
 */
public record PartRecords(Population population, long people, long events) {
    /** @throws RegionFault where a file is cut off, or of another schema */
    public static PartRecords read(RegionFolder folder, RecordFields fields, Part part, AskedRecords asked)
            throws IOException {
        PopulationBuilder builder = new PopulationBuilder(fields);
        List<Field> ofPeople = some(fields.people().all(), asked.fieldsOfPeople());
        List<Field> ofEvents = some(fields.events().all(), asked.fieldsOfEvents());
        long people = 0;
        for (Path path : folder.files(Side.PEOPLE, part)) {
            try (PartFile file = PartFile.open(path, Side.PEOPLE, ofPeople, folder.storage())) {
                people += file.rows();
                file.forEach(ofPeople, group -> builder.addPeople(columns(group, ofPeople, group.allRows())));
            }
        }
        long events = 0;
        for (Path path : folder.files(Side.EVENTS, part)) {
            try (PartFile file = PartFile.open(path, Side.EVENTS, ofEvents, folder.storage())) {
                events += file.rows();
                addEvents(file, ofEvents, asked, builder);
            }
        }
        return new PartRecords(builder.seal(), people, events);
    }

    private static List<Field> some(List<Field> fields, Set<String> names) {
        return fields.stream().filter(field -> names.contains(field.name())).toList();
    }

    private static void addEvents(PartFile file, List<Field> fields, AskedRecords asked, PopulationBuilder builder) {
        Predicate<Field> ofConcept = field -> ConceptRows.FIELDS.contains(field.name());
        List<Field> ofConcepts = fields.stream().filter(ofConcept).toList();
        List<Field> others = fields.stream().filter(ofConcept.negate()).toList();
        file.runs()
                .ifPresentOrElse(
                        runs -> file.forEach(others, runs, runs.meant(asked), (group, concepts) -> {
                            Map<String, FieldRows> all = new HashMap<>(concepts);
                            all.putAll(columns(group, others, group.allRows()));
                            builder.addEvents(all);
                        }),
                        () -> file.forEach(fields, group -> {
                            Map<String, FieldRows> concepts = columns(group, ofConcepts, group.allRows());
                            int[] rows = meant(ConceptRows.of(group.size(), concepts), asked);
                            Map<String, FieldRows> all = new HashMap<>();
                            concepts.forEach((name, column) -> all.put(name, column.of(rows)));
                            all.putAll(columns(group, others, rows));
                            builder.addEvents(all);
                        }));
    }

    private static int[] meant(ConceptRows concepts, AskedRecords asked) {
        BitSet meant = asked.of(concepts.different());
        return IntStream.range(0, concepts.size())
                .filter(row -> meant.get(concepts.of(row)))
                .toArray();
    }

    private static Map<String, FieldRows> columns(RowGroup group, List<Field> fields, int[] rows) {
        Map<String, FieldRows> columns = new HashMap<>();
        fields.forEach(field -> columns.put(field.name(), group.read(field, rows)));
        return columns;
    }
}
