package dipstick.core.records;

import dipstick.core.text.NormalText;
import java.io.IOException;
import java.io.InputStream;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A file of people (criteria.md section 1), read row by row. */
public final class PeopleFile {
    private static final String ID = "id";

    private final DelimitedFile file;
    private final ZoneId zone;
    /** One for each column of the file; none where the column has no name and is passed over. */
    private final List<Optional<Field>> columns;

    private PeopleFile(DelimitedFile file, ZoneId zone, List<Optional<Field>> columns) {
        this.file = file;
        this.zone = zone;
        this.columns = columns;
    }

    /** Opens the file of a practice that has no custom fields yet. */
    public static PeopleFile open(InputStream bytes, ZoneId zone) throws IOException {
        return open(bytes, zone, Fields.PERSON);
    }

    /**
     * Opens the file and reads its header.
     *
     * @param known the fields that the practice has already; a column of such a name is of its type
     * @throws UnreadableFile where the header has no {@code id} column, or gives a known field another type
     */
    public static PeopleFile open(InputStream bytes, ZoneId zone, Fields known) throws IOException {
        DelimitedFile file = DelimitedFile.open(bytes, known, List.of(ID));
        List<Optional<Field>> columns = new ArrayList<>();
        for (String name : file.header()) {
            columns.add(name.isEmpty() ? Optional.empty() : Optional.of(field(name, known)));
        }
        checkNames(columns, known);
        return new PeopleFile(file, zone, columns);
    }

    /** The custom fields that the header adds, with their types. */
    public List<Field> customFields() {
        return columns.stream()
                .flatMap(Optional::stream)
                .filter(field -> Fields.PERSON.find(field.name()).isEmpty())
                .toList();
    }

    /** The names of the columns that the file has; a field without a column is not spoken of by the file. */
    public List<String> fieldNames() {
        return columns.stream().flatMap(Optional::stream).map(Field::name).toList();
    }

    /** Hands every row to the sink. The second row with an id that the file had before is a problem. */
    public void forEach(RowSink<PersonRecord> sink) {
        Map<String, Long> lineOfId = new HashMap<>();
        file.forEach(row -> read(row, lineOfId, sink), sink::problem);
    }

    private void read(DelimitedFile.Row row, Map<String, Long> lineOfId, RowSink<PersonRecord> sink) {
        CellReader cells = new CellReader(zone, row.line());
        Map<String, FieldValue> values = new HashMap<>();
        for (int i = 0; i < columns.size(); i++) {
            String cell = row.cells().get(i);
            columns.get(i).ifPresent(field -> cells.read(field, cell).ifPresent(v -> values.put(field.name(), v)));
        }
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

    private static Field field(String header, Fields known) {
        Optional<Field> same = known.find(header);
        if (same.isPresent()) {
            return same.get();
        }
        int colon = header.lastIndexOf(':');
        String type = colon < 0 ? "" : NormalText.of(header.substring(colon + 1));
        return switch (type) {
            case "number" -> new Field(NormalText.identifier(header.substring(0, colon)), FieldType.NUMBER);
            case "date" -> new Field(NormalText.identifier(header.substring(0, colon)), FieldType.DATE);
            case "flag" -> new Field(NormalText.identifier(header.substring(0, colon)), FieldType.FLAG);
            default -> new Field(header, FieldType.TEXT);
        };
    }

    private static void checkNames(List<Optional<Field>> columns, Fields fields) {
        Map<String, Field> seen = new HashMap<>();
        for (Field field : columns.stream().flatMap(Optional::stream).toList()) {
            Optional<Field> known = fields.find(field.name());
            if (field.name().isEmpty()
                    || seen.put(field.name(), field) != null
                    || (known.isPresent() && known.get().type() != field.type())) {
                throw new UnreadableFile(
                        1, "The header names the field “" + field.name() + "” twice, or with a type it cannot have.");
            }
        }
    }
}
