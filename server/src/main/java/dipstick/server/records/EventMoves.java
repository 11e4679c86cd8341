package dipstick.server.records;

import dipstick.core.records.EventRecord;
import dipstick.core.records.FieldValue;
import dipstick.server.records.JoinedMapper.EventNamed;
import dipstick.server.records.RecordsMapper.KnownEvent;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Gives records of one person to another, so that the files that brought them find them again. */
@Component
class EventMoves {
    private final RecordsMapper records;
    private final DeliveryMapper deliveries;
    private final JoinedMapper joined;
    private final RecordsLoader loader;

    EventMoves(RecordsMapper records, DeliveryMapper deliveries, JoinedMapper joined, RecordsLoader loader) {
        this.records = records;
        this.deliveries = deliveries;
        this.joined = joined;
        this.loader = loader;
    }

    /** Gives a record to a person under whose other number it came; one that they have word for word becomes one with it. */
    void join(KnownEvent event, String person) {
        KnownEvent to = as(event, read(event), person);
        boolean shared = !to.recordKey().equals(event.recordKey()) && isThere(to.recordKey());
        if (shared) {
            deliveries.deleteEvent(event.recordKey());
        } else {
            move(event, to);
        }
        joined.renameNamed(event.recordKey(), to.recordKey());
        joined.name(new EventNamed(to.recordKey(), event.personId(), shared));
    }

    /** Gives a record back to whose number it came under, where it is still the person's. */
    void part(EventNamed named, String person, String other) {
        known(named.recordKey()).stream()
                .filter(event -> event.personId().equals(person))
                .forEach(event -> part(event, other, named.shared()));
    }

    private void part(KnownEvent event, String other, boolean shared) {
        EventRecord record = read(event);
        KnownEvent to = as(event, record, other);
        if (!shared) {
            move(event, to);
            joined.renameNamed(event.recordKey(), to.recordKey());
        } else if (!isThere(to.recordKey())) {
            Map<String, @Nullable Object> cells =
                    new HashMap<>(RowMapping.row(of(record, other)).cells());
            cells.put("record_key", to.recordKey());
            cells.put("fingerprint", to.fingerprint());
            records.insertEvent(cells);
        }
    }

    private void move(KnownEvent event, KnownEvent to) {
        joined.give(event.recordKey(), to);
        joined.renameInDeliveries(event.recordKey(), event.fingerprint(), to);
    }

    private boolean isThere(String key) {
        return !known(key).isEmpty();
    }

    List<KnownEvent> known(String key) {
        return records.knownEvents(new String[] {key});
    }

    private EventRecord read(KnownEvent event) {
        return RowMapping.event(
                records.eventsByKey(new String[] {event.recordKey()}).getFirst(),
                loader.fields().events());
    }

    /** How the record is called once it is another person's. */
    private static KnownEvent as(KnownEvent event, EventRecord record, String person) {
        // A day of recording that no file named is not among what the record is known by.
        boolean namesDay = RowMapping.row(record).fingerprint().equals(event.fingerprint());
        EventRow row = RowMapping.row(of(namesDay ? record : without(record, "recorded_on"), person));
        return new KnownEvent(row.recordKey(), row.fingerprint(), person);
    }

    private static EventRecord of(EventRecord record, String person) {
        Map<String, FieldValue> values = new HashMap<>(record.values());
        values.put("person_id", new FieldValue.OfText(person));
        return new EventRecord(values);
    }

    private static EventRecord without(EventRecord record, String field) {
        Map<String, FieldValue> values = new HashMap<>(record.values());
        values.remove(field);
        return new EventRecord(values);
    }
}
