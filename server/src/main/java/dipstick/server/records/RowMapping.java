package dipstick.server.records;

import dipstick.core.records.Coding;
import dipstick.core.records.EventRecord;
import dipstick.core.records.Field;
import dipstick.core.records.FieldValue;
import dipstick.core.records.Fields;
import dipstick.core.records.PersonRecord;
import dipstick.core.text.Fingerprint;
import dipstick.server.records.RecordsMapper.StoredEvent;
import dipstick.server.records.RecordsMapper.StoredPerson;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Between the records of the core and the rows of the tables. */
final class RowMapping {
    /** Between the parts of what a fingerprint is taken of; no cell holds it. */
    private static final String PART = "\u0000";

    /** The fields that every fingerprint counts, in their order. */
    private static final List<Field> ALWAYS_COUNTED = Stream.of(
                    "person_id",
                    "kind",
                    "code",
                    "system",
                    "text",
                    "on",
                    "until",
                    "status",
                    "value",
                    "unit",
                    "value_text",
                    "keywords",
                    "provider",
                    "site",
                    "source")
            .map(name -> Fields.EVENT.find(name).orElseThrow())
            .toList();

    /** The known fields of later versions, which count only where they are there. */
    private static final List<Field> COUNTED_WHERE_THERE = Fields.EVENT.all().stream()
            .filter(field -> !field.name().equals("id") && !ALWAYS_COUNTED.contains(field))
            .toList();

    private RowMapping() {}

    /** All that is kept of somebody by column; what is missing is null, as SQL has it. */
    static Map<String, @Nullable Object> row(PersonRecord person) {
        Map<String, @Nullable Object> cells = KnownColumns.PERSON.cells(person.values());
        cells.put(KnownColumns.CUSTOM, CustomValues.written(CustomValues.of(person.values(), Fields.PERSON)));
        return cells;
    }

    /** The same of somebody who was not on file before. */
    static Map<String, @Nullable Object> newRow(PersonRecord person, SaidBy saidBy, Instant cameAt) {
        Map<String, @Nullable Object> cells = row(person);
        cells.put("said_by", saidBy.written().orElse(null));
        cells.put("came_at", cameAt);
        return cells;
    }

    static PersonRecord person(StoredPerson stored, Fields fields) {
        Map<String, FieldValue> values = new HashMap<>(stored.known());
        stored.custom().ifPresent(custom -> CustomValues.read(custom, fields, values::put));
        return new PersonRecord(stored.id(), values);
    }

    static EventRow row(EventRecord event) {
        String fingerprint = fingerprint(event);
        String key = event.id().isEmpty() ? "of all fields: " + fingerprint : keyOf(event.id());
        Map<String, @Nullable Object> cells = KnownColumns.EVENT.cells(event.values());
        Map<String, String> custom = CustomValues.of(event.values(), Fields.EVENT);
        cells.put(KnownColumns.CUSTOM, custom.isEmpty() ? null : CustomValues.written(custom));
        cells.put("record_key", key);
        cells.put("fingerprint", fingerprint);
        return new EventRow(key, fingerprint, event.personId(), cells);
    }

    /** The key of a record that has a number of its own. */
    static String keyOf(String id) {
        return "id: " + id;
    }

    static EventRecord event(StoredEvent stored, Fields fields) {
        if (stored.custom().isEmpty()) {
            return new EventRecord(stored.known());
        }
        Map<String, FieldValue> values = new HashMap<>(stored.known());
        CustomValues.read(stored.custom().get(), fields, values::put);
        return new EventRecord(values);
    }

    /**
     * The same for the same fields, without the id, so that a record that has none can be known again. A field that
     * records did not have in earlier versions counts only where it is there.
     */
    private static String fingerprint(EventRecord event) {
        Stream<String> always = ALWAYS_COUNTED.stream().map(field -> counted(event, field));
        Stream<String> whereThere = COUNTED_WHERE_THERE.stream()
                .filter(field -> event.values().containsKey(field.name()))
                .map(field -> field.name() + "=" + counted(event, field));
        Stream<String> custom = CustomValues.of(event.values(), Fields.EVENT).entrySet().stream()
                .map(field -> field.getKey() + "=" + field.getValue());
        return Fingerprint.of(
                Stream.of(always, whereThere, custom).flatMap(part -> part).collect(Collectors.joining(PART)));
    }

    private static String counted(EventRecord event, Field field) {
        String name = field.name();
        return switch (field.type()) {
            case IDENTIFIER, TEXT -> event.text(name);
            case TEXTS -> String.join(KnownColumns.KEYWORD_SEPARATOR, event.texts(name));
            case CODINGS -> Coding.written(event.codings(name));
            case DATE -> event.date(name).toString();
            case NUMBER -> event.number(name).toString();
            case FLAG -> String.valueOf(event.values().get(name));
        };
    }
}
