package dipstick.server.records;

import dipstick.core.records.Coding;
import dipstick.core.records.EventRecord;
import dipstick.core.records.Field;
import dipstick.core.records.FieldValue;
import dipstick.core.records.Fields;
import dipstick.core.records.PersonRecord;
import dipstick.core.text.Fingerprint;
import dipstick.core.time.DateRange;
import dipstick.server.records.RecordsMapper.StoredEvent;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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

    static PersonRow row(PersonRecord person) {
        Map<String, FieldValue> values = person.values();
        Optional<DateRange> birth = date(values, "birth_date");
        Optional<DateRange> deceased = date(values, "deceased_on");
        return new PersonRow(
                person.id(),
                text(values, "family_name"),
                text(values, "given_name"),
                first(birth),
                last(birth),
                text(values, "sex"),
                text(values, "status"),
                first(deceased),
                last(deceased),
                text(values, "provider"),
                text(values, "site"),
                text(values, "phone"),
                text(values, "mobile"),
                text(values, "email"),
                text(values, "address"),
                text(values, "city"),
                text(values, "postcode"),
                text(values, "language"),
                text(values, "contact_by"),
                values.get("do_not_contact") instanceof FieldValue.OfFlag(boolean flag) ? (Boolean) flag : null,
                CustomValues.written(CustomValues.of(values, Fields.PERSON)));
    }

    static PersonRecord person(PersonRow row, Fields fields) {
        Map<String, FieldValue> values = new HashMap<>();
        putText(values, "id", row.id());
        putText(values, "family_name", row.familyName());
        putText(values, "given_name", row.givenName());
        range(row.birthFirst(), row.birthLast())
                .ifPresent(days -> values.put("birth_date", new FieldValue.OfDate(days)));
        putText(values, "sex", row.sex());
        putText(values, "status", row.status());
        range(row.deceasedFirst(), row.deceasedLast())
                .ifPresent(days -> values.put("deceased_on", new FieldValue.OfDate(days)));
        putText(values, "provider", row.provider());
        putText(values, "site", row.site());
        putText(values, "phone", row.phone());
        putText(values, "mobile", row.mobile());
        putText(values, "email", row.email());
        putText(values, "address", row.address());
        putText(values, "city", row.city());
        putText(values, "postcode", row.postcode());
        putText(values, "language", row.language());
        putText(values, "contact_by", row.contactBy());
        if (row.doNotContact() != null) {
            values.put("do_not_contact", new FieldValue.OfFlag(row.doNotContact()));
        }
        CustomValues.read(row.custom(), fields, values::put);
        return new PersonRecord(row.id(), values);
    }

    static EventRow row(EventRecord event) {
        String fingerprint = fingerprint(event);
        String key = event.id().isEmpty() ? "of all fields: " + fingerprint : keyOf(event.id());
        Map<String, @Nullable Object> cells = EventColumns.cells(event);
        Map<String, String> custom = CustomValues.of(event.values(), Fields.EVENT);
        cells.put("custom", custom.isEmpty() ? null : CustomValues.written(custom));
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
            case TEXTS -> String.join(EventColumns.KEYWORD_SEPARATOR, event.texts(name));
            case CODINGS -> Coding.written(event.codings(name));
            case DATE -> event.date(name).toString();
            case NUMBER -> event.number(name).toString();
            case FLAG -> String.valueOf(event.values().get(name));
        };
    }

    private static @Nullable String text(Map<String, FieldValue> values, String field) {
        return values.get(field) instanceof FieldValue.OfText(String text) ? text : null;
    }

    private static Optional<DateRange> date(Map<String, FieldValue> values, String field) {
        return values.get(field) instanceof FieldValue.OfDate(DateRange days) ? Optional.of(days) : Optional.empty();
    }

    private static void putText(Map<String, FieldValue> values, String field, @Nullable String text) {
        if (text != null) {
            values.put(field, new FieldValue.OfText(text));
        }
    }

    private static @Nullable LocalDate first(Optional<DateRange> days) {
        return days.map(range -> LocalDate.ofEpochDay(range.first())).orElse(null);
    }

    private static @Nullable LocalDate last(Optional<DateRange> days) {
        return days.map(range -> LocalDate.ofEpochDay(range.last())).orElse(null);
    }

    private static Optional<DateRange> range(@Nullable LocalDate first, @Nullable LocalDate last) {
        return first == null || last == null ? Optional.empty() : Optional.of(DateRange.between(first, last));
    }
}
