package dipstick.core.things;

import dipstick.core.text.NormalText;
import java.util.List;
import java.util.OptionalInt;

/**
 * A list of things, whatever they are.
 *
 * @param columns by name
 * @param rows a cell for each column, blank where nothing is known; days as ISO 8601 writes them
 */
public record Things(List<String> columns, List<List<String>> rows) {
    public Things {
        columns = List.copyOf(columns);
        rows = List.copyOf(rows);
    }

    /** How many cells there are. */
    public long cells() {
        return (long) rows.size() * columns.size();
    }

    /** Where a column stands; its name is compared as text is. */
    public OptionalInt column(String name) {
        String wanted = NormalText.of(name);
        for (int i = 0; i < columns.size(); i++) {
            if (NormalText.of(columns.get(i)).equals(wanted)) {
                return OptionalInt.of(i);
            }
        }
        return OptionalInt.empty();
    }
}
