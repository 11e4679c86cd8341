package dipstick.region.records;

import dipstick.core.records.EventsFile;
import dipstick.core.records.Field;
import dipstick.core.records.PeopleFile;
import dipstick.core.records.RecordFields;
import dipstick.core.records.RowSink;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.hadoop.conf.Configuration;
import org.apache.hadoop.fs.Path;
import org.apache.parquet.hadoop.ParquetWriter;

/**
 * Folders of records for tests, written without a cluster: the events of a part lie in two files, in any order, and the footer
 * of one says what its rows are about.
 */
final class PartFolders {
    /** Its settings are read once for all. */
    private static final Configuration STORAGE = new Configuration();

    static final String PRACTICE = "Fen End";

    private PartFolders() {}

    static RegionFolder write(
            java.nio.file.Path folder,
            java.nio.file.Path people,
            java.nio.file.Path events,
            RecordFields fields,
            ZoneId zone,
            int parts)
            throws IOException {
        RegionFolder region = new RegionFolder(new Path(folder.toUri()), STORAGE);
        Map<Part, List<Object[]>> ofPeople = new HashMap<>();
        List<Field> personFields = fields.people().all();
        PeopleFile.open(new ByteArrayInputStream(Files.readAllBytes(people)), zone)
                .forEach(good(
                        person -> add(ofPeople, person.id(), parts, CellValues.cells(personFields, person.values()))));
        Map<Part, List<Object[]>> ofEvents = new HashMap<>();
        List<Field> eventFields = fields.events().all();
        EventsFile.open(new ByteArrayInputStream(Files.readAllBytes(events)), zone)
                .forEach(good(event ->
                        add(ofEvents, event.personId(), parts, CellValues.cells(eventFields, event.values()))));
        for (Map.Entry<Part, List<Object[]>> part : ofPeople.entrySet()) {
            write(region, Side.PEOPLE, personFields, part.getKey(), "all", part.getValue());
        }
        for (Map.Entry<Part, List<Object[]>> part : ofEvents.entrySet()) {
            int half = part.getValue().size() / 2;
            write(
                    region,
                    Side.EVENTS,
                    eventFields,
                    part.getKey(),
                    "first",
                    part.getValue().subList(0, half));
            write(
                    region,
                    Side.EVENTS,
                    eventFields,
                    part.getKey(),
                    "second",
                    part.getValue().subList(half, part.getValue().size()));
        }
        return region;
    }

    private static void add(Map<Part, List<Object[]>> rows, String person, int parts, Object[] cells) {
        rows.computeIfAbsent(new Part(PRACTICE, Part.of(person, parts)), _ -> new ArrayList<>())
                .add(cells);
    }

    private static void write(
            RegionFolder region, Side side, List<Field> fields, Part part, String name, List<Object[]> rows)
            throws IOException {
        Path file = new Path(region.of(side, part), name + ".parquet");
        try (ParquetWriter<Object[]> writer =
                RowWriter.open(file, PartColumns.schema(side, fields), region.storage(), name.equals("first"))) {
            for (Object[] row : rows) {
                writer.write(row);
            }
        }
    }

    private static <T> RowSink<T> good(java.util.function.Consumer<T> take) {
        return RowSink.of(take, problem -> {
            throw new AssertionError(problem);
        });
    }
}
