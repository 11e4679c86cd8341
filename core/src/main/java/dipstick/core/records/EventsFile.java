package dipstick.core.records;

import dipstick.core.text.NormalText;
import dipstick.core.time.DateRange;
import java.io.IOException;
import java.io.InputStream;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** A file of event records (criteria.md section 1), read row by row. Unknown columns are passed over. */
public final class EventsFile {
    private final DelimitedFile file;
    private final ZoneId zone;
    private final Map<String, Integer> columns = new HashMap<>();

    private EventsFile(DelimitedFile file, ZoneId zone) {
        this.file = file;
        this.zone = zone;
        for (int i = 0; i < file.header().size(); i++) {
            columns.put(file.header().get(i), i);
        }
    }

    /**
     * Opens the file and reads its header; throws {@link UnreadableFile} where it has no {@code person_id} or
     * {@code kind} column.
     */
    public static EventsFile open(InputStream bytes, ZoneId zone) throws IOException {
        return new EventsFile(DelimitedFile.open(bytes, Fields.EVENT, List.of("person_id", "kind")), zone);
    }

    public void forEach(RowSink<EventRecord> sink) {
        file.forEach(row -> read(row, sink), sink::problem);
    }

    private void read(DelimitedFile.Row row, RowSink<EventRecord> sink) {
        CellReader cells = new CellReader(zone, row.line());
        String person = text(row, "person_id");
        String kind = text(row, "kind");
        if (person.isEmpty()) {
            cells.missing("person_id");
        }
        if (kind.isEmpty()) {
            cells.missing("kind");
        }
        Optional<DateRange> on = cells.date("on", text(row, "on"));
        Optional<DateRange> until = cells.date("until", text(row, "until"));
        OptionalDouble value = cells.number("value", text(row, "value"));
        if (!cells.problems().isEmpty()) {
            cells.problems().forEach(sink::problem);
            return;
        }
        sink.record(
                row.line(),
                new EventRecord(
                        text(row, "id"),
                        person,
                        kind,
                        text(row, "code"),
                        text(row, "system"),
                        text(row, "text"),
                        on,
                        until,
                        text(row, "status"),
                        value,
                        text(row, "unit"),
                        text(row, "value_text"),
                        keywords(text(row, "keywords")),
                        text(row, "provider"),
                        text(row, "site"),
                        text(row, "source")));
    }

    private String text(DelimitedFile.Row row, String column) {
        Integer index = columns.get(column);
        return index == null ? "" : NormalText.identifier(row.cells().get(index));
    }

    private static List<String> keywords(String cell) {
        return cell.isEmpty()
                ? List.of()
                : Arrays.stream(cell.split(";", -1))
                        .map(NormalText::identifier)
                        .filter(word -> !word.isEmpty())
                        .toList();
    }
}
