package dipstick.intake.make;

import dipstick.core.records.Field;
import dipstick.core.records.FieldValue;
import dipstick.intake.describe.Intake;
import dipstick.intake.describe.Maker;
import dipstick.intake.rows.Row;
import java.io.IOException;
import java.nio.file.Path;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Makes fields of the rows of one file, each row by itself, whatever it is a row of. */
public final class FieldRows {
    private FieldRows() {}

    /** A field, and what it is made of. */
    public record Made(Field field, Maker maker) {}

    /** Takes what is made of each row. */
    public interface Sink {
        /**
         * @param values by the name of the field; none where a cell is blank or cannot be read
         * @param troubles with the row, each with its column
         */
        void row(long line, Map<String, FieldValue> values, List<Trouble> troubles);
    }

    /**
     * Reads a file to its end.
     *
     * @param how its table is found and how dates and numbers are written
     * @throws dipstick.intake.rows.UnreadableRows where the file has no header with the columns of the fields
     */
    public static RecordMaking.Read read(Path file, Intake how, List<Made> fields, ZoneId zone, Sink sink)
            throws IOException {
        List<String> wanted = fields.stream()
                .flatMap(made -> made.maker().allColumns())
                .distinct()
                .toList();
        try (TableReader table = TableReader.open(file, how, wanted)) {
            Plans plans = new Plans(how, table.columns(), zone);
            List<FieldPlan> made = fields.stream()
                    .map(one -> plans.of(one.field(), one.maker()))
                    .toList();
            int rows = 0;
            for (Optional<Row> row = table.next(); row.isPresent(); row = table.next()) {
                rows++;
                make(row.get(), table, made, sink);
            }
            return new RecordMaking.Read(rows, table.leftOut());
        }
    }

    private static void make(Row row, TableReader table, List<FieldPlan> fields, Sink sink) {
        Map<String, FieldValue> values = new HashMap<>();
        List<Trouble> troubles = new ArrayList<>();
        if (table.fits(row)) {
            fields.forEach(field -> field.make(new FieldPlan.Into(row, MakerPlan.One.NONE, values, troubles::add)));
        } else {
            troubles.add(table.misfit(row));
        }
        sink.row(row.line(), values, troubles);
    }
}
