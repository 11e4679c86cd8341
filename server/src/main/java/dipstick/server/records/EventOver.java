package dipstick.server.records;

import dipstick.core.export.FieldCell;
import dipstick.core.records.EventRecord;
import dipstick.core.records.FieldValue;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What becomes of a record on file of which a source says something: it changes its own and nobody's; of another source's
 * it fills blanks, unless that one gives way.
 */
record EventOver(EventRecord after, List<Otherwise> otherwise) {
    /** Fields that only say something together: where one is said anew, nothing of the others stays. */
    private static final List<Set<String>> TOGETHER =
            List.of(Set.of("value", "value_text", "unit"), Set.of("code", "system", "also_coded"));

    /** The day of recording is kept by itself, and is no change. */
    private static final String RECORDED_ON = "recorded_on";

    /** What every source has of its own. */
    private static final Set<String> OWN = Set.of("id", "source", RECORDED_ON);

    /** What the record does not say stays. */
    static EventOver of(String key, EventRecord before, EventRecord said, Saying who) {
        return who.mayChange(before.text("source"))
                ? new EventOver(changed(before, said), List.of())
                : filled(key, before, said, who);
    }

    /** The fields of a record whose change is told. */
    static Map<String, FieldValue> told(EventRecord record) {
        Map<String, FieldValue> values = new HashMap<>(record.values());
        values.remove(RECORDED_ON);
        return values;
    }

    private static EventRecord changed(EventRecord before, EventRecord said) {
        Map<String, FieldValue> values = new HashMap<>(before.values());
        TOGETHER.stream()
                .filter(fields -> fields.stream().anyMatch(said.values()::containsKey))
                .forEach(values.keySet()::removeAll);
        values.remove(RECORDED_ON);
        values.putAll(said.values());
        return new EventRecord(values);
    }

    private static EventOver filled(String key, EventRecord before, EventRecord said, Saying who) {
        Map<String, FieldValue> values = new HashMap<>(before.values());
        values.remove(RECORDED_ON);
        List<Otherwise> otherwise = new ArrayList<>();
        said.values().forEach((field, value) -> {
            FieldValue had = before.values().get(field);
            if (OWN.contains(field) || (had != null && Otherwise.isSame(had, value))) {
                return;
            }
            if (had == null && isBlankTogether(before, field)) {
                values.put(field, value);
            } else {
                otherwise.add(new Otherwise(
                        before.personId(),
                        key,
                        field,
                        who.source(),
                        FieldCell.of(value),
                        had == null ? "" : FieldCell.of(had),
                        before.text("source")));
            }
        });
        return new EventOver(new EventRecord(values), List.copyOf(otherwise));
    }

    private static boolean isBlankTogether(EventRecord record, String field) {
        return TOGETHER.stream()
                .filter(fields -> fields.contains(field))
                .allMatch(fields -> fields.stream().noneMatch(record.values()::containsKey));
    }
}
