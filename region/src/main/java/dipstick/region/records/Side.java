package dipstick.region.records;

import dipstick.core.records.Field;
import dipstick.core.records.RecordFields;
import java.util.List;

/** The two sides of the records. */
public enum Side {
    PEOPLE("people", List.of("id")),
    EVENTS("events", List.of("person_id", "kind"));

    private final String folder;
    private final List<String> required;

    Side(String folder, List<String> required) {
        this.folder = folder;
        this.required = required;
    }

    public String folder() {
        return folder;
    }

    /** The fields that every row has. */
    public List<String> required() {
        return required;
    }

    public List<Field> of(RecordFields fields) {
        return switch (this) {
            case PEOPLE -> fields.people().all();
            case EVENTS -> fields.events().all();
        };
    }
}
