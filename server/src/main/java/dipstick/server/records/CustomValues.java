package dipstick.server.records;

import dipstick.core.records.Field;
import dipstick.core.records.FieldValue;
import dipstick.core.records.Fields;
import dipstick.core.text.WrittenFlag;
import dipstick.core.time.DateRange;
import dipstick.core.time.PartialDate;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.BiConsumer;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The values of custom fields, as a JSON object of texts: which field is of what type is kept apart. */
final class CustomValues {
    private static final JsonMapper JSON = JsonMapper.shared();
    private static final TypeReference<TreeMap<String, String>> TEXTS = new TypeReference<>() {};

    private CustomValues() {}

    /** The custom ones of some values, by name, each as it is written in the object. */
    static Map<String, String> of(Map<String, FieldValue> values, Fields known) {
        Map<String, String> custom = new TreeMap<>();
        values.forEach((name, value) -> {
            if (known.find(name).isEmpty()) {
                custom.put(name, written(value));
            }
        });
        return custom;
    }

    static String written(Map<String, String> custom) {
        return JSON.writeValueAsString(custom);
    }

    /** Hands on the values of an object, of those fields that there are. */
    static void read(String json, Fields fields, BiConsumer<String, FieldValue> sink) {
        JSON.readValue(json, TEXTS)
                .forEach((name, written) ->
                        fields.find(name).ifPresent(field -> sink.accept(name, value(field, written))));
    }

    private static String written(FieldValue value) {
        return switch (value) {
            case FieldValue.OfText(String text) -> text;
            case FieldValue.OfNumber(double number) -> String.valueOf(number);
            case FieldValue.OfFlag(boolean flag) -> String.valueOf(flag);
            case FieldValue.OfDate(DateRange days) ->
                LocalDate.ofEpochDay(days.first()) + "/" + LocalDate.ofEpochDay(days.last());
            case FieldValue.OfTexts _, FieldValue.OfCodings _ ->
                throw severalValues(value.getClass().getSimpleName());
        };
    }

    private static FieldValue value(Field field, String written) {
        return switch (field.type()) {
            case IDENTIFIER, TEXT -> new FieldValue.OfText(written);
            case NUMBER -> new FieldValue.OfNumber(Double.parseDouble(written));
            case FLAG -> new FieldValue.OfFlag(WrittenFlag.parse(written).orElse(false));
            case DATE -> {
                String[] ends = written.split("/", 2);
                yield new FieldValue.OfDate(
                        new DateRange(day(ends[0]).first(), day(ends[1]).last()));
            }
            case TEXTS, CODINGS -> throw severalValues(field);
        };
    }

    private static DateRange day(String written) {
        return PartialDate.parse(written, ZoneOffset.UTC).orElseThrow();
    }

    private static IllegalStateException severalValues(Object several) {
        return new IllegalStateException("A custom field holds one value, not " + several);
    }
}
