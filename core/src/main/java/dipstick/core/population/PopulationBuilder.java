package dipstick.core.population;

import dipstick.core.records.EventRecord;
import dipstick.core.records.FieldValue;
import dipstick.core.records.PersonRecord;
import dipstick.core.records.RecordFields;
import dipstick.core.text.NormalText;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/** Takes people, then events, then seals them into a {@link Population}. */
public final class PopulationBuilder {
    private static final int NOBODY = -1;

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
        if (isEnteredInError(event.text("status"))) {
            return;
        }
        events.add(owner, event);
    }

    /**
     * Adds people as a file by columns has them, whose ids no other has.
     *
     * @param columns by field name, the {@code id} among them; what is not among them is missing of all
     */
    public void addPeople(Map<String, FieldRows> columns) {
        FieldRows ids = column(columns, "id");
        for (int entry : ids.entries()) {
            String id = text(ids, entry);
            if (numberOf.putIfAbsent(id, numberOf.size()) != null) {
                throw new IllegalArgumentException("There is a person " + id + " already");
            }
        }
        people.forEach((name, column) -> Optional.ofNullable(columns.get(name))
                .ifPresentOrElse(column::add, () -> column.addMissing(ids.size())));
    }

    /**
     * Adds events as a file by columns has them, as {@link #add(EventRecord)} takes each.
     *
     * @param columns by field name, the {@code person_id} among them; what is not among them is missing of all. The id of
     *     the records is not read.
     */
    public void addEvents(Map<String, FieldRows> columns) {
        FieldRows persons = column(columns, "person_id");
        int[] ownerOf = persons.values().stream()
                .map(FieldValue.OfText.class::cast)
                .mapToInt(id -> numberOf.getOrDefault(id.text(), NOBODY))
                .toArray();
        boolean[] counts = countedBy(columns.getOrDefault("status", new FieldRows(new int[0], List.of())));
        int[] taken = new int[persons.size()];
        int size = 0;
        for (int row = 0; row < persons.size(); row++) {
            if (ownerOf[persons.entries()[row]] == NOBODY) {
                waiting.merge(text(persons, persons.entries()[row]), 1, Integer::sum);
            } else if (counts.length == 0 || counts[row]) {
                taken[size++] = row;
            }
        }
        int[] rows = Arrays.copyOf(taken, size);
        Map<String, FieldRows> some = new HashMap<>();
        columns.forEach((name, column) -> some.put(name, column.of(rows)));
        int[] owners =
                Arrays.stream(rows).map(row -> ownerOf[persons.entries()[row]]).toArray();
        events.add(owners, ConceptRows.of(size, some), some);
    }

    /** For each row whether its status lets it count; none where there are no statuses. */
    private boolean[] countedBy(FieldRows statuses) {
        boolean[] counts = new boolean[statuses.size()];
        for (int row = 0; row < counts.length; row++) {
            int entry = statuses.entries()[row];
            counts[row] = entry == FieldRows.MISSING || !isEnteredInError(text(statuses, entry));
        }
        return counts;
    }

    private boolean isEnteredInError(String status) {
        return enteredInError.computeIfAbsent(status, one -> NormalText.of(one).equals(EventRecord.ENTERED_IN_ERROR));
    }

    private static FieldRows column(Map<String, FieldRows> columns, String name) {
        return Optional.ofNullable(columns.get(name))
                .orElseThrow(() -> new IllegalArgumentException("There is no column " + name));
    }

    private static String text(FieldRows texts, int entry) {
        return ((FieldValue.OfText) texts.values().get(entry)).text();
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
