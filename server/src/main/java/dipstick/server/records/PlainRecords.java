package dipstick.server.records;

import de.siegmar.fastcsv.writer.CsvWriter;
import dipstick.core.export.FieldCell;
import dipstick.core.records.Field;
import dipstick.core.records.FieldType;
import dipstick.core.records.Fields;
import dipstick.core.records.RecordFields;
import java.io.IOException;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;

/** The people and event records of a database as our plain CSV files (criteria.md section 1): {@code people.csv}, {@code events.csv}. */
public final class PlainRecords {
    private static final int FETCHED_AT_ONCE = 1000;

    private PlainRecords() {}

    /** Writes a row, as a record of its values. */
    private interface Mapping {
        List<String> cells(ResultSet row) throws SQLException;
    }

    /** @param folder that is there */
    public static void write(Connection database, Path folder) throws IOException, SQLException {
        RecordFields fields = fields(database);
        PersonRecordReader people = new PersonRecordReader();
        write(
                database,
                "SELECT " + KnownColumns.PERSON.select() + " FROM person ORDER BY id",
                folder.resolve("people.csv"),
                fields.people().all(),
                Fields.PERSON,
                row -> FieldCell.row(
                        RowMapping.person(people.read(row), fields.people()).values(),
                        fields.people().all()));
        EventRecordReader events = new EventRecordReader();
        write(
                database,
                "SELECT " + KnownColumns.EVENT.select() + " FROM event ORDER BY record_key",
                folder.resolve("events.csv"),
                fields.events().all(),
                Fields.EVENT,
                row -> FieldCell.row(
                        RowMapping.event(events.read(row), fields.events()).values(),
                        fields.events().all()));
    }

    private static RecordFields fields(Connection database) throws SQLException {
        List<Field> ofPeople = new ArrayList<>();
        List<Field> ofEvents = new ArrayList<>();
        try (Statement statement = database.createStatement();
                ResultSet row =
                        statement.executeQuery("SELECT name, type, of_events FROM custom_field ORDER BY name")) {
            while (row.next()) {
                Field field = new Field(row.getString(1), FieldType.valueOf(row.getString(2)));
                (row.getBoolean(3) ? ofEvents : ofPeople).add(field);
            }
        }
        return RecordFields.withCustom(ofPeople, ofEvents);
    }

    private static void write(
            Connection database, String select, Path file, List<Field> fields, Fields known, Mapping mapping)
            throws IOException, SQLException {
        try (CsvWriter csv = CsvWriter.builder().build(file);
                Statement statement = database.createStatement()) {
            csv.writeRecord(
                    fields.stream().map(field -> FieldCell.header(field, known)).toList());
            statement.setFetchSize(FETCHED_AT_ONCE);
            try (ResultSet row = statement.executeQuery(select)) {
                while (row.next()) {
                    csv.writeRecord(mapping.cells(row));
                }
            }
        }
    }
}
