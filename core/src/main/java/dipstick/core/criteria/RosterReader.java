package dipstick.core.criteria;

import dipstick.core.records.Field;
import dipstick.core.records.FieldType;
import dipstick.core.records.FieldValue;
import dipstick.core.records.Fields;
import dipstick.core.text.NormalText;
import dipstick.core.text.WrittenFlag;
import dipstick.core.text.WrittenNumber;
import dipstick.core.time.PartialDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import tools.jackson.databind.JsonNode;

/** Reads rosters (criteria.md section 3): the cells as what their person fields hold. */
final class RosterReader {
    private final Fields personFields;
    private final ZoneId zone;

    RosterReader(Fields personFields, ZoneId zone) {
        this.personFields = personFields;
        this.zone = zone;
    }

    Roster read(Spot spot) {
        if (!spot.isObject("a roster, an object with id, name, key and rows")) {
            return new Roster("", "", List.of(), List.of());
        }
        spot.allowOnly(Set.of("id", "name", "key", "rows"));
        String id = spot.requiredWords("id");
        String name = spot.has("name") ? spot.get("name").words() : id;
        spot.requires("key");
        spot.requires("rows");
        List<Field> key = new ArrayList<>(spot.list("key", this::field));
        if (spot.has("key") && key.isEmpty()) {
            spot.get("key").problem("A roster's key names at least one person field.");
        }
        return new Roster(id, name, key, spot.list("rows", row -> row(row, key)));
    }

    private Field field(Spot spot) {
        String name = spot.words();
        Optional<Field> field = personFields.find(name);
        if (field.isEmpty()) {
            spot.problem("There is no person field “" + name + "”.");
        }
        return field.orElse(new Field(name, FieldType.TEXT));
    }

    private Roster.Row row(Spot spot, List<Field> key) {
        List<Spot> cells = spot.items();
        if (spot.json().isArray() && cells.size() != key.size()) {
            spot.problem("The row has " + cells.size() + " values where the key has " + key.size() + " fields.");
            return new Roster.Row(List.of());
        }
        List<Optional<FieldValue>> values = new ArrayList<>();
        for (int i = 0; i < cells.size(); i++) {
            values.add(cell(cells.get(i), key.get(i)));
        }
        return new Roster.Row(values);
    }

    private Optional<FieldValue> cell(Spot spot, Field field) {
        JsonNode json = spot.json();
        String written = json.isString() || json.isNumber() || json.isBoolean() ? json.asString() : "";
        if (json.isNull() || (json.isString() && NormalText.identifier(written).isEmpty())) {
            return Optional.empty();
        }
        Optional<FieldValue> value = read(written, json, field.type());
        if (value.isEmpty()) {
            spot.problem("“" + field.name() + "” holds a " + field.type().word() + "; this cell does not.");
        }
        return value;
    }

    private Optional<FieldValue> read(String written, JsonNode json, FieldType type) {
        String trimmed = NormalText.identifier(written);
        return switch (type) {
            case IDENTIFIER -> textOf(trimmed, json);
            case TEXTS, CODINGS -> throw new IllegalStateException("A key holds one value, not " + type);
            case TEXT -> textOf(NormalText.of(written), json);
            case NUMBER -> {
                var number = WrittenNumber.parse(trimmed);
                yield number.isPresent()
                        ? Optional.of(new FieldValue.OfNumber(number.getAsDouble()))
                        : Optional.empty();
            }
            case DATE -> PartialDate.parse(trimmed, zone).map(FieldValue.OfDate::new);
            case FLAG -> WrittenFlag.parse(trimmed).map(FieldValue.OfFlag::new);
        };
    }

    private static Optional<FieldValue> textOf(String text, JsonNode json) {
        return json.isString() || json.isNumber() ? Optional.of(new FieldValue.OfText(text)) : Optional.empty();
    }
}
