package dipstick.core.population;

import dipstick.core.records.EventRecord;
import dipstick.core.records.PersonRecord;
import dipstick.core.records.RecordFields;
import dipstick.core.text.NormalText;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.IntStream;

/** Takes people, then events, then seals them into a {@link Population}. */
public final class PopulationBuilder {

    private final RecordFields fields;
    private final Map<String, ColumnBuilder> people = new LinkedHashMap<>();
    private final Map<String, Integer> numberOf = new HashMap<>();
    private final EventsBuilder events;
    private final Map<String, Boolean> enteredInError = new HashMap<>();
    private final Map<String, Integer> waiting = new HashMap<>();

    public PopulationBuilder(RecordFields fields) {
        this.fields = fields;
        this.events = new EventsBuilder(fields.events());
        fields.people().all().forEach(field -> people.put(field.name(), new ColumnBuilder(field.type())));
    }

    /** Adds a person, whose id no other has. */
    public void add(PersonRecord person) {
        if (numberOf.putIfAbsent(person.id(), numberOf.size()) != null) {
            throw new IllegalArgumentException("There is a person " + person.id() + " already");
        }
        people.forEach((name, column) -> column.addIfPresent(person.values().get(name)));
    }

    /**
     * Adds an event. One of a person who was not added is passed over and counted as waiting; one that was entered in error never
     * counts anywhere.
     */
    public void add(EventRecord event) {
        Integer owner = numberOf.get(event.personId());
        if (owner == null) {
            waiting.merge(event.personId(), 1, Integer::sum);
            return;
        }
        if (enteredInError.computeIfAbsent(
                event.text("status"), status -> NormalText.of(status).equals(EventRecord.ENTERED_IN_ERROR))) {
            return;
        }
        events.add(owner, event);
    }

    /** How many events came of each person who was not added, by id. */
    public Map<String, Integer> waiting() {
        return Map.copyOf(waiting);
    }

    public Population seal() {
        int size = numberOf.size();
        Map<String, Column> personColumns = new HashMap<>();
        int[] asTheyCame = IntStream.range(0, size).toArray();
        people.forEach((name, column) -> personColumns.put(name, column.seal(asTheyCame)));
        Column.OfText ids = (Column.OfText) personColumns.get("id");
        return new Population(fields, size, personColumns, events.seal(size, ids));
    }
}
