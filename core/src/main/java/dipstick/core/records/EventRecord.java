package dipstick.core.records;

import dipstick.core.time.DateRange;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * One event record as brought in: the values by field name, missing ones left out. Dates are the days that they stand
 * for, not clipped.
 */
public record EventRecord(Map<String, FieldValue> values) {
    /** The status of a record that never counts anywhere (criteria.md section 1). */
    public static final String ENTERED_IN_ERROR = "entered-in-error";

    public EventRecord {
        values = Map.copyOf(values);
    }

    public static Builder of(String personId, String kind) {
        return new Builder().text("person_id", personId).text("kind", kind);
    }

    /** Empty where the record has none. */
    public String id() {
        return text("id");
    }

    public String personId() {
        return text("person_id");
    }

    public String kind() {
        return text("kind");
    }

    public Optional<DateRange> on() {
        return date("on");
    }

    /** The text of a field, empty where it is missing. */
    public String text(String field) {
        return values.get(field) instanceof FieldValue.OfText(String text) ? text : "";
    }

    public List<String> texts(String field) {
        return values.get(field) instanceof FieldValue.OfTexts(var texts) ? texts : List.of();
    }

    public List<Coding> codings(String field) {
        return values.get(field) instanceof FieldValue.OfCodings(var codings) ? codings : List.of();
    }

    public Optional<DateRange> date(String field) {
        return values.get(field) instanceof FieldValue.OfDate(var days) ? Optional.of(days) : Optional.empty();
    }

    public OptionalDouble number(String field) {
        return values.get(field) instanceof FieldValue.OfNumber(double number)
                ? OptionalDouble.of(number)
                : OptionalDouble.empty();
    }

    /** Gathers the values of a record; what is empty stays missing. */
    public static final class Builder {
        private final Map<String, FieldValue> values = new HashMap<>();

        private Builder() {}

        public Builder text(String field, String text) {
            if (!text.isEmpty()) {
                values.put(field, new FieldValue.OfText(text));
            }
            return this;
        }

        public Builder texts(String field, List<String> texts) {
            if (!texts.isEmpty()) {
                values.put(field, new FieldValue.OfTexts(texts));
            }
            return this;
        }

        public Builder date(String field, Optional<DateRange> days) {
            days.ifPresent(range -> values.put(field, new FieldValue.OfDate(range)));
            return this;
        }

        public Builder number(String field, OptionalDouble number) {
            number.ifPresent(value -> values.put(field, new FieldValue.OfNumber(value)));
            return this;
        }

        public EventRecord build() {
            return new EventRecord(values);
        }
    }
}
