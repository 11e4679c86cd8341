package dipstick.core.population;

import dipstick.core.records.EventRecord;
import dipstick.core.records.Fields;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;

/** Takes events of known people one by one, then sorts them by concept and person and seals them. */
final class EventsBuilder {
    private final GrowingInts owners = new GrowingInts();
    private final GrowingInts concepts = new GrowingInts();
    private final ConceptsBuilder conceptNumbers = new ConceptsBuilder();
    private final Identifiers.Builder ids = new Identifiers.Builder();
    private final Fields fields;
    private final Map<String, ColumnBuilder> columns = new LinkedHashMap<>();

    EventsBuilder(Fields fields) {
        this.fields = fields;
        Events.ofRows(fields).forEach(field -> columns.put(field.name(), new ColumnBuilder(field.type())));
    }

    void add(int owner, EventRecord event) {
        owners.add(owner);
        concepts.add(conceptNumbers.number(event));
        ids.add(event.id());
        columns.forEach((name, column) -> column.addIfPresent(event.values().get(name)));
    }

    /**
     * Adds rows that a file by columns has.
     *
     * @param ofRows the person of each
     * @param fields by name; what is not among them is missing of all
     */
    void add(int[] ofRows, ConceptRows concepts, Map<String, FieldRows> fields) {
        for (int owner : ofRows) {
            owners.add(owner);
        }
        for (int concept : conceptNumbers.numbers(concepts)) {
            this.concepts.add(concept);
        }
        ids.addMissing(ofRows.length);
        columns.forEach((name, column) -> Optional.ofNullable(fields.get(name))
                .ifPresentOrElse(column::add, () -> column.addMissing(ofRows.length)));
    }

    Events seal(int people, Column.OfText personIds) {
        int size = owners.size();
        Groups byOwner = new Groups(people, owners::get);
        Groups byBlock = new Groups(Runs.blockOf(people) + 1, row -> Runs.blockOf(owners.get(row)));
        Groups byConcept = new Groups(conceptNumbers.count(), concepts::get);
        int[] byPerson = byOwner.sorted(IntStream.range(0, size).toArray());
        // As Runs have them; each sorting keeps the order of the one before.
        int[] order =
                byConcept.sorted(byBlock.sorted(columns.get("on").byExactDay().sorted(byPerson)));
        int[] sortedOwners = owners.inOrder(order);

        Map<String, Column> sealed = new ConcurrentHashMap<>();
        columns.entrySet().parallelStream()
                .forEach(column -> sealed.put(column.getKey(), column.getValue().seal(order)));
        sealed.put("id", ids.seal(order));
        sealed.put("person_id", Events.personIds(sortedOwners, personIds));
        Concepts sealedConcepts = conceptNumbers.seal(byConcept.starts(size));
        sealed.putAll(conceptNumbers.columns(sealedConcepts));

        int[] rowOf = new int[size];
        for (int row = 0; row < size; row++) {
            rowOf[order[row]] = row;
        }
        for (int place = 0; place < size; place++) {
            byPerson[place] = rowOf[byPerson[place]];
        }
        return new Events(fields, sortedOwners, sealedConcepts, byOwner.starts(size), byPerson, sealed);
    }
}
