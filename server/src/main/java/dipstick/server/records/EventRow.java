package dipstick.server.records;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * An event record as a row of the table.
 *
 * @param recordKey the record's identity: its own id, or its fingerprint where it has none
 * @param fingerprint the same for the same fields, so that it is known whether a record changed
 * @param cells all of the row by column, these two among them
 */
record EventRow(String recordKey, String fingerprint, String personId, Map<String, @Nullable Object> cells) {
    /** The cells, with a day of recording where the record names none (criteria.md, section 1). */
    Map<String, @Nullable Object> cellsRecordedOn(LocalDate day) {
        if (cells.get("recorded_first") != null) {
            return cells;
        }
        Map<String, @Nullable Object> recorded = new HashMap<>(cells);
        recorded.put("recorded_first", day);
        recorded.put("recorded_last", day);
        return recorded;
    }
}
