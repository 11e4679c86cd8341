package dipstick.core.population;

import dipstick.core.records.EventRecord;
import dipstick.core.records.Fields;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

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

    Events seal(int people, Column.OfText personIds) {
        int size = owners.size();
        int[] startOfPerson = starts(owners, people);
        int[] byPerson = sorted(owners, asTheyCame(size), startOfPerson);
        int[] startOfConcept = starts(concepts, conceptNumbers.count());
        int[] order = sorted(concepts, byPerson, startOfConcept);
        int[] sortedOwners = owners.inOrder(order);

        Map<String, Column> sealed = new ConcurrentHashMap<>();
        columns.entrySet().parallelStream()
                .forEach(column -> sealed.put(column.getKey(), column.getValue().seal(order)));
        sealed.put("id", ids.seal(order));
        sealed.put("person_id", Events.personIds(sortedOwners, personIds));
        Concepts sealedConcepts = conceptNumbers.seal(startOfConcept);
        sealed.putAll(conceptNumbers.columns(sealedConcepts));

        int[] rowOf = new int[size];
        for (int row = 0; row < size; row++) {
            rowOf[order[row]] = row;
        }
        for (int place = 0; place < size; place++) {
            byPerson[place] = rowOf[byPerson[place]];
        }
        return new Events(fields, sortedOwners, sealedConcepts, startOfPerson, byPerson, sealed);
    }

    private static int[] asTheyCame(int size) {
        int[] places = new int[size];
        for (int i = 0; i < size; i++) {
            places[i] = i;
        }
        return places;
    }

    /** The place of the first of each group when they are sorted by group, and the number of all. */
    private static int[] starts(GrowingInts groups, int count) {
        int[] starts = new int[count + 1];
        for (int i = 0; i < groups.size(); i++) {
            starts[groups.get(i) + 1]++;
        }
        for (int group = 0; group < count; group++) {
            starts[group + 1] += starts[group];
        }
        return starts;
    }

    /** The same places sorted by group; those of one group keep their order. */
    private static int[] sorted(GrowingInts groups, int[] places, int[] starts) {
        int[] next = starts.clone();
        int[] sorted = new int[places.length];
        for (int place : places) {
            sorted[next[groups.get(place)]++] = place;
        }
        return sorted;
    }
}
