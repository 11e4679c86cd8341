package dipstick.server.records;

import dipstick.core.records.EventRecord;
import dipstick.core.records.Field;
import dipstick.core.records.FieldValue;
import dipstick.core.records.Fields;
import dipstick.core.records.PersonRecord;
import dipstick.core.text.WrittenFlag;
import dipstick.core.time.DateRange;
import dipstick.core.time.PartialDate;
import dipstick.server.web.Fingerprint;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Between the records of the core and the rows of the tables. */
final class RowMapping {
    /** Between the parts of what a fingerprint is taken of; no cell holds it. */
    private static final String PART = "\u0000";

    static final String KEYWORD_SEPARATOR = "; ";
    private static final JsonMapper JSON = JsonMapper.shared();
    private static final TypeReference<TreeMap<String, String>> CUSTOM = new TypeReference<>() {};

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
                custom(values));
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
        JSON.readValue(row.custom(), CUSTOM)
                .forEach((name, written) ->
                        fields.find(name).ifPresent(field -> values.put(name, customValue(field, written))));
        return new PersonRecord(row.id(), values);
    }

    static EventRow row(EventRecord event) {
        String fingerprint = fingerprint(event);
        return new EventRow(
                event.id().isEmpty() ? "of all fields: " + fingerprint : "id: " + event.id(),
                fingerprint,
                orNull(event.id()),
                event.personId(),
                event.kind(),
                orNull(event.code()),
                orNull(event.system()),
                orNull(event.text()),
                first(event.on()),
                last(event.on()),
                first(event.until()),
                last(event.until()),
                orNull(event.status()),
                event.value().isPresent() ? (Double) event.value().getAsDouble() : null,
                orNull(event.unit()),
                orNull(event.valueText()),
                orNull(String.join(KEYWORD_SEPARATOR, event.keywords())),
                orNull(event.provider()),
                orNull(event.site()),
                orNull(event.source()));
    }

    private static String custom(Map<String, FieldValue> values) {
        Map<String, String> custom = new TreeMap<>();
        values.forEach((name, value) -> {
            if (Fields.PERSON.find(name).isEmpty()) {
                custom.put(
                        name,
                        switch (value) {
                            case FieldValue.OfText(String text) -> text;
                            case FieldValue.OfNumber(double number) -> String.valueOf(number);
                            case FieldValue.OfFlag(boolean flag) -> String.valueOf(flag);
                            case FieldValue.OfDate(DateRange days) ->
                                LocalDate.ofEpochDay(days.first()) + "/" + LocalDate.ofEpochDay(days.last());
                        });
            }
        });
        return JSON.writeValueAsString(custom);
    }

    private static FieldValue customValue(Field field, String written) {
        return switch (field.type()) {
            case IDENTIFIER, TEXT -> new FieldValue.OfText(written);
            case NUMBER -> new FieldValue.OfNumber(Double.parseDouble(written));
            case FLAG -> new FieldValue.OfFlag(WrittenFlag.parse(written).orElse(false));
            case DATE -> {
                String[] ends = written.split("/", 2);
                yield new FieldValue.OfDate(
                        new DateRange(day(ends[0]).first(), day(ends[1]).last()));
            }
        };
    }

    private static DateRange day(String written) {
        return PartialDate.parse(written, ZoneOffset.UTC).orElseThrow();
    }

    /** The same for the same fields, without the id, so that a record that has none can be known again. */
    private static String fingerprint(EventRecord event) {
        String whole = Stream.of(
                        event.personId(),
                        event.kind(),
                        event.code(),
                        event.system(),
                        event.text(),
                        event.on().toString(),
                        event.until().toString(),
                        event.status(),
                        event.value().toString(),
                        event.unit(),
                        event.valueText(),
                        String.join(KEYWORD_SEPARATOR, event.keywords()),
                        event.provider(),
                        event.site(),
                        event.source())
                .collect(Collectors.joining(PART));
        return Fingerprint.of(whole);
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

    private static @Nullable String orNull(String text) {
        return text.isEmpty() ? null : text;
    }
}
