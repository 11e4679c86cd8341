package dipstick.server.records;

import dipstick.core.records.PersonRecord;
import dipstick.core.text.Fingerprint;
import dipstick.server.records.DeliveryMapper.Did;
import dipstick.server.records.RecordsMapper.KnownEvent;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Notes what a delivery does to records, before it is done; runs in the batches of {@link RecordsWriter}, which hold one
 * statement each: many records are noted by one after another.
 */
final class DeliveryNotes {
    static final String ADDED = "ADDED";
    static final String CHANGED = "CHANGED";
    static final String GONE = "GONE";

    private final DeliveryMapper batch;
    private final long delivery;

    DeliveryNotes(DeliveryMapper batch, long delivery) {
        this.batch = batch;
        this.delivery = delivery;
    }

    void addsPeople(List<PersonRecord> people) {
        people.forEach(
                person -> batch.insert(new Did(delivery, false, person.id(), person.id(), ADDED, fingerprint(person))));
    }

    /** @param after as they become */
    void changesPeople(List<PersonRecord> after) {
        after.forEach(person -> batch.keepPerson(delivery, person.id()));
        after.forEach(person ->
                batch.insert(new Did(delivery, false, person.id(), person.id(), CHANGED, fingerprint(person))));
    }

    void removesPerson(String id) {
        batch.keepPerson(delivery, id);
        batch.insert(new Did(delivery, false, id, id, GONE, ""));
    }

    void addsEvents(List<EventRow> rows) {
        rows.forEach(row ->
                batch.insert(new Did(delivery, true, row.recordKey(), row.personId(), ADDED, row.fingerprint())));
    }

    /** @param rows as they become */
    void changesEvents(List<EventRow> rows) {
        rows.forEach(row -> batch.keepEvent(delivery, row.recordKey()));
        rows.forEach(row ->
                batch.insert(new Did(delivery, true, row.recordKey(), row.personId(), CHANGED, row.fingerprint())));
    }

    void removesEvent(KnownEvent event) {
        batch.keepEvent(delivery, event.recordKey());
        batch.insert(new Did(delivery, true, event.recordKey(), event.personId(), GONE, ""));
    }

    /** The same for the same values. */
    static String fingerprint(PersonRecord person) {
        Map<String, Object> inOrder = new TreeMap<>(person.values());
        return Fingerprint.of(inOrder.toString());
    }
}
