package dipstick.core.criteria;

import dipstick.core.records.Field;
import dipstick.core.records.FieldValue;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * People named by some of their fields (criteria.md section 3, roster).
 *
 * @param rows one value for each field of the key; texts normalised, identifiers trimmed
 */
public record Roster(String id, String name, List<Field> key, List<Row> rows) {
    public Roster {
        key = List.copyOf(key);
        rows = List.copyOf(rows);
    }

    /** Not of all rows, of which there may be many: tests are kept by what they ask. */
    @Override
    public int hashCode() {
        return Objects.hash(id, name, key, rows.size());
    }

    public record Row(List<Optional<FieldValue>> cells) {
        public Row {
            cells = List.copyOf(cells);
        }
    }
}
