package dipstick.core.records;

import java.io.IOException;
import java.io.InputStream;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** A file of people (criteria.md section 1), read row by row. */
public final class PeopleFile {
    private static final String ID = "id";

    private final DelimitedFile file;
    private final ZoneId zone;
    private final Header header;
    private final Map<String, Long> lineOfId = new HashMap<>();

    private PeopleFile(DelimitedFile file, ZoneId zone, Header header) {
        this.file = file;
        this.zone = zone;
        this.header = header;
    }

    /** Opens the file of a practice that has no custom fields yet. */
    public static PeopleFile open(InputStream bytes, ZoneId zone) throws IOException {
        return open(bytes, zone, Fields.PERSON);
    }

    /**
     * Opens the file and reads its header.
     *
     * @param practice the fields that the practice has already; a column of such a name is of its type
     * @throws UnreadableFile where the header has no {@code id} column, or gives a known field another type
     */
    public static PeopleFile open(InputStream bytes, ZoneId zone, Fields practice) throws IOException {
        DelimitedFile file = DelimitedFile.open(bytes, Fields.PERSON, List.of(ID));
        return new PeopleFile(file, zone, file.header(Fields.PERSON, practice));
    }

    /** The custom fields that the header has, with their types. */
    public List<Field> customFields() {
        return header.customFields(Fields.PERSON);
    }

    /** The names of the columns that the file has; a field without a column is not spoken of by the file. */
    public List<String> fieldNames() {
        return header.fields().stream().map(Field::name).toList();
    }

    /** Hands every row to the sink. The second row with an id that the file had before is a problem. */
    public void forEach(RowSink<PersonRecord> sink) {
        while (next(sink)) {
            // Each call hands one row on.
        }
    }

    /** Hands the next row to the sink, as {@link #forEach} would; false where there is none any more. */
    public boolean next(RowSink<PersonRecord> sink) {
        return file.next(row -> read(row, sink), sink::problem);
    }

    private void read(DelimitedFile.Row row, RowSink<PersonRecord> sink) {
        CellReader cells = new CellReader(zone, row.line());
        Map<String, FieldValue> values = header.read(row, cells);
        String id = values.get(ID) instanceof FieldValue.OfText text ? text.text() : "";
        if (id.isEmpty()) {
            cells.missing(ID);
        } else {
            Long before = lineOfId.putIfAbsent(id, row.line());
            if (before != null) {
                cells.problem(ID, "“" + id + "” is already the id of line " + before + ".");
            }
        }
        if (cells.problems().isEmpty()) {
            sink.record(row.line(), new PersonRecord(id, values));
        } else {
            cells.problems().forEach(sink::problem);
        }
    }
}
