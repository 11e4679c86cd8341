package dipstick.server.criteria;

import dipstick.core.text.NormalText;
import dipstick.server.records.FieldsOnFile;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.stereotype.Component;

/** Tells whether a row of a roster names somebody, by what is on file of them. */
@Component
public class NamedInRoster {
    private final FieldsOnFile fields;

    NamedInRoster(FieldsOnFile fields) {
        this.fields = fields;
    }

    /** Somebody's number and fields, as they are written. */
    public record Theirs(Map<String, String> fields) {
        public Theirs {
            fields = Map.copyOf(fields);
        }

        /** Whether all cells of a row are theirs. */
        public boolean are(List<String> cells, List<String> key) {
            for (int cell = 0; cell < key.size(); cell++) {
                Optional<String> field = Optional.ofNullable(fields.get(key.get(cell)));
                String written = cell < cells.size() ? cells.get(cell) : "";
                if (field.filter(one -> NormalText.of(one).equals(NormalText.of(written)))
                        .isEmpty()) {
                    return false;
                }
            }
            return !key.isEmpty();
        }
    }

    public Theirs of(String person) {
        Map<String, String> theirs = new TreeMap<>(fields.of(person));
        theirs.put("id", person);
        return new Theirs(theirs);
    }
}
