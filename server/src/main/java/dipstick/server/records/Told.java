package dipstick.server.records;

import dipstick.core.export.FieldCell;
import dipstick.core.records.FieldValue;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/**
 * What is told of a delivery beside how many records it changes.
 *
 * @param ofPeople how often each field of people becomes another, by its name
 * @param ofEvents the same of records
 * @param firstChanges some of these changes
 * @param otherwise how much is said otherwise than another source brought it, which stays
 * @param firstOtherwise some of it
 */
public record Told(
        Map<String, Integer> ofPeople,
        Map<String, Integer> ofEvents,
        List<FieldChange> firstChanges,
        int otherwise,
        List<Otherwise> firstOtherwise) {
    static final Told NOTHING = new Told(Map.of(), Map.of(), List.of(), 0, List.of());

    private static final int MOST = 12;

    public Told {
        ofPeople = Map.copyOf(ofPeople);
        ofEvents = Map.copyOf(ofEvents);
        firstChanges = List.copyOf(firstChanges);
        firstOtherwise = List.copyOf(firstOtherwise);
    }

    /** Adds up what is told of one chunk after another. */
    static final class Sum {
        private final Map<String, Integer> ofPeople = new TreeMap<>();
        private final Map<String, Integer> ofEvents = new TreeMap<>();
        private final List<FieldChange> firstChanges = new ArrayList<>();
        private final List<Otherwise> firstOtherwise = new ArrayList<>();
        private int otherwise;

        void add(Told more) {
            more.ofPeople.forEach((field, count) -> ofPeople.merge(field, count, Integer::sum));
            more.ofEvents.forEach((field, count) -> ofEvents.merge(field, count, Integer::sum));
            more.firstChanges.forEach(this::keep);
            otherwise += more.otherwise;
            more.firstOtherwise.forEach(this::keep);
        }

        void otherwise(List<Otherwise> more) {
            otherwise += more.size();
            more.forEach(this::keep);
        }

        void person(String id, Map<String, FieldValue> before, Map<String, FieldValue> after) {
            changed(id, true, before, after);
        }

        void event(String person, Map<String, FieldValue> before, Map<String, FieldValue> after) {
            changed(person, false, before, after);
        }

        private void changed(
                String person, boolean ofPerson, Map<String, FieldValue> before, Map<String, FieldValue> after) {
            TreeSet<String> fields = new TreeSet<>(before.keySet());
            fields.addAll(after.keySet());
            for (String field : fields) {
                if (!Objects.equals(before.get(field), after.get(field))) {
                    (ofPerson ? ofPeople : ofEvents).merge(field, 1, Integer::sum);
                    keep(new FieldChange(person, ofPerson, field, cell(before.get(field)), cell(after.get(field))));
                }
            }
        }

        private static String cell(@Nullable FieldValue value) {
            return value == null ? "" : FieldCell.of(value);
        }

        private void keep(FieldChange change) {
            if (firstChanges.size() < MOST) {
                firstChanges.add(change);
            }
        }

        private void keep(Otherwise one) {
            if (firstOtherwise.size() < MOST) {
                firstOtherwise.add(one);
            }
        }

        Told whole() {
            return new Told(ofPeople, ofEvents, firstChanges, otherwise, firstOtherwise);
        }
    }
}
