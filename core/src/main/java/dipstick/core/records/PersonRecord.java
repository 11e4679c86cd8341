package dipstick.core.records;

import java.util.Map;

/** One person as brought in: the values by field name, missing ones left out. The {@code id} is among them. */
public record PersonRecord(String id, Map<String, FieldValue> values) {
    public PersonRecord {
        values = Map.copyOf(values);
    }
}
