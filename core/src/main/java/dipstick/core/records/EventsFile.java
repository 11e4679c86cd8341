package dipstick.core.records;

import java.io.IOException;
import java.io.InputStream;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;

/** A file of event records (criteria.md section 1), read row by row. */
public final class EventsFile {
    private static final List<String> REQUIRED = List.of("person_id", "kind");

    private final DelimitedFile file;
    private final ZoneId zone;
    private final Header header;

    private EventsFile(DelimitedFile file, ZoneId zone, Header header) {
        this.file = file;
        this.zone = zone;
        this.header = header;
    }

    /** Opens the file of a practice whose events have no custom fields yet. */
    public static EventsFile open(InputStream bytes, ZoneId zone) throws IOException {
        return open(bytes, zone, Fields.EVENT);
    }

    /**
     * Opens the file and reads its header.
     *
     * @param practice the fields that the practice's events have already; a column of such a name is of its type
     * @throws UnreadableFile where it has no {@code person_id} or {@code kind} column, or names one twice
     */
    public static EventsFile open(InputStream bytes, ZoneId zone, Fields practice) throws IOException {
        DelimitedFile file = DelimitedFile.open(bytes, Fields.EVENT, REQUIRED);
        return new EventsFile(file, zone, file.header(Fields.EVENT, practice));
    }

    /** The custom fields that the header has, with their types. */
    public List<Field> customFields() {
        return header.customFields(Fields.EVENT);
    }

    public void forEach(RowSink<EventRecord> sink) {
        while (next(sink)) {
            // Each call hands one row on.
        }
    }

    /** Hands the next row to the sink; false where there is none any more. */
    public boolean next(RowSink<EventRecord> sink) {
        return file.next(row -> read(row, sink), sink::problem);
    }

    private void read(DelimitedFile.Row row, RowSink<EventRecord> sink) {
        CellReader cells = new CellReader(zone, row.line());
        Map<String, FieldValue> values = header.read(row, cells);
        for (String required : REQUIRED) {
            if (!values.containsKey(required)) {
                cells.missing(required);
            }
        }
        if (cells.problems().isEmpty()) {
            sink.record(row.line(), new EventRecord(values));
        } else {
            cells.problems().forEach(sink::problem);
        }
    }
}
