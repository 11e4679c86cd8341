package dipstick.core.population;

import dipstick.core.records.EventRecord;
import dipstick.core.records.Field;
import dipstick.core.records.FieldValue;
import dipstick.core.records.Fields;
import dipstick.core.records.PersonRecord;
import dipstick.core.text.NormalText;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.IntStream;

/** Takes people, then events, then seals them into a {@link Population}. */
public final class PopulationBuilder {
    private static final String ENTERED_IN_ERROR = "entered-in-error";

    private final Fields personFields;
    private final Map<String, ColumnBuilder> people = new LinkedHashMap<>();
    private final Map<String, Integer> numberOf = new HashMap<>();
    private final Map<String, ColumnBuilder> events = new LinkedHashMap<>();
    private final ColumnBuilder.OfTexts keywords = new ColumnBuilder.OfTexts();
    private final GrowingInts owners = new GrowingInts();
    private int eventsOfUnknownPeople;

    public PopulationBuilder(Fields personFields) {
        this.personFields = personFields;
        personFields.all().forEach(field -> people.put(field.name(), new ColumnBuilder(field.type())));
        for (Field field : Fields.EVENT.all()) {
            if (!field.name().equals("keywords")) {
                events.put(field.name(), new ColumnBuilder(field.type()));
            }
        }
    }

    /** Adds a person, whose id no other has. */
    public void add(PersonRecord person) {
        if (numberOf.putIfAbsent(person.id(), numberOf.size()) != null) {
            throw new IllegalArgumentException("There is a person " + person.id() + " already");
        }
        people.forEach((name, column) -> {
            FieldValue value = person.values().get(name);
            if (value == null) {
                column.addMissing();
            } else {
                column.add(value);
            }
        });
    }

    /**
     * Adds an event. One of a person who was not added is passed over and counted; one that was entered in error never
     * counts anywhere.
     */
    public void add(EventRecord event) {
        Integer owner = numberOf.get(event.personId());
        if (owner == null) {
            eventsOfUnknownPeople++;
            return;
        }
        if (NormalText.of(event.status()).equals(ENTERED_IN_ERROR)) {
            return;
        }
        owners.add(owner);
        text("id", event.id());
        text("person_id", event.personId());
        text("kind", event.kind());
        text("code", event.code());
        text("system", event.system());
        text("text", event.text());
        event.on().ifPresentOrElse(events.get("on")::addDate, events.get("on")::addMissing);
        event.until().ifPresentOrElse(events.get("until")::addDate, events.get("until")::addMissing);
        text("status", event.status());
        event.value().ifPresentOrElse(events.get("value")::addNumber, events.get("value")::addMissing);
        text("unit", event.unit());
        text("value_text", event.valueText());
        keywords.add(event.keywords());
        text("provider", event.provider());
        text("site", event.site());
        text("source", event.source());
    }

    public int eventsOfUnknownPeople() {
        return eventsOfUnknownPeople;
    }

    public Population seal() {
        int size = numberOf.size();
        Map<String, Column> personColumns = new HashMap<>();
        int[] asTheyCame = IntStream.range(0, size).toArray();
        people.forEach((name, column) -> personColumns.put(name, column.seal(asTheyCame)));
        return new Population(personFields, size, personColumns, sealEvents(size));
    }

    private Events sealEvents(int people) {
        int[] starts = new int[people + 1];
        for (int i = 0; i < owners.size(); i++) {
            starts[owners.get(i) + 1]++;
        }
        for (int person = 0; person < people; person++) {
            starts[person + 1] += starts[person];
        }
        int[] next = starts.clone();
        int[] order = new int[owners.size()];
        for (int i = 0; i < owners.size(); i++) {
            order[next[owners.get(i)]++] = i;
        }
        Map<String, Column> columns = new HashMap<>();
        events.forEach((name, column) -> columns.put(name, column.seal(order)));
        columns.put("keywords", keywords.seal(order));
        return new Events(starts, owners.inOrder(order), columns);
    }

    private void text(String field, String text) {
        events.get(field).addText(text);
    }
}
