package dipstick.server.sidebyside;

import dipstick.core.export.FieldCell;
import dipstick.core.records.Field;
import dipstick.core.records.FieldType;
import dipstick.core.records.FieldValue;
import dipstick.core.things.Things;
import dipstick.intake.describe.Intake;
import dipstick.intake.describe.Maker;
import dipstick.intake.describe.Written;
import dipstick.intake.make.FieldRows;
import dipstick.intake.make.Trouble;
import dipstick.intake.propose.Proposal;
import dipstick.intake.rows.UnreadableRows;
import java.io.IOException;
import java.nio.file.Path;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A file of any kind that comes in, as a list of things: all its columns, days and decimal commas read as the file writes them.
 *
 * @param troubles rows that do not fit, and days that cannot be read; these stand as they are written
 */
record ThingsFile(Things things, List<Trouble> troubles) {

    static ThingsFile read(Path file, Proposal proposal, Optional<Written.DateOrder> dates, ZoneId zone)
            throws IOException {
        Intake found = proposal.intake();
        Intake how = dates.map(order -> found.with(found.written().with(order))).orElse(found);
        List<Proposal.Choice> columns = proposal.choices();
        List<FieldRows.Made> made = new ArrayList<>();
        for (int i = 0; i < columns.size(); i++) {
            Maker maker = Maker.ofColumn(columns.get(i).column());
            made.add(new FieldRows.Made(new Field(asWritten(i), FieldType.TEXT), maker));
            if (columns.get(i).holds() != FieldType.TEXT) {
                made.add(new FieldRows.Made(new Field(asRead(i), columns.get(i).holds()), maker));
            }
        }
        boolean commas = how.written().decimal() == Written.Decimal.COMMA;
        List<List<String>> rows = new ArrayList<>();
        List<Trouble> troubles = new ArrayList<>();
        FieldRows.read(file, how, made, zone, (line, values, wrong) -> {
            if ((rows.size() + 1L) * columns.size() > Laid.Side.MOST_CELLS) {
                throw new UnreadableRows(
                        line,
                        "A list of up to " + Laid.Side.MOST_CELLS
                                + " cells is laid beside another at once; this one has " + columns.size()
                                + " columns. Leave some out, or send it in parts.");
            }
            wrong.stream()
                    .filter(one -> one.reason() != Trouble.Reason.NO_NUMBER)
                    .forEach(troubles::add);
            if (!values.isEmpty()) {
                List<String> cells = new ArrayList<>(columns.size());
                for (int i = 0; i < columns.size(); i++) {
                    cells.add(cell(values, i, commas));
                }
                rows.add(cells);
            }
        });
        List<String> names = columns.stream().map(Proposal.Choice::column).toList();
        return new ThingsFile(new Things(names, rows), List.copyOf(troubles));
    }

    /** The fields of people that columns are, by the names of the columns; those of which a field is a part are not among them. */
    static Map<String, String> fields(Intake found) {
        Map<String, String> fields = new HashMap<>();
        found.people()
                .ifPresent(people -> people.fields().forEach((field, maker) -> {
                    if (maker.part().isEmpty()) {
                        maker.column().ifPresent(column -> fields.put(column, field));
                    }
                }));
        found.whose().number().flatMap(Maker::column).ifPresent(column -> fields.put(column, "id"));
        return fields;
    }

    private static String asWritten(int column) {
        return "written " + column;
    }

    private static String asRead(int column) {
        return "read " + column;
    }

    /** A day as ISO 8601 writes it; a number only where it has a decimal comma, since what looks like one may be somebody's. */
    private static String cell(Map<String, FieldValue> values, int column, boolean commas) {
        String written = values.get(asWritten(column)) instanceof FieldValue.OfText(String text) ? text : "";
        Optional<FieldValue> read = Optional.ofNullable(values.get(asRead(column)));
        return read.filter(value -> value instanceof FieldValue.OfDate || (commas && written.indexOf(',') >= 0))
                .map(FieldCell::of)
                .orElse(written);
    }
}
