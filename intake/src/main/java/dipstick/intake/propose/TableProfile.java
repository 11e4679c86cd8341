package dipstick.intake.propose;

import dipstick.intake.describe.TableShape.LeaveOut;
import dipstick.intake.files.RowsFile;
import dipstick.intake.make.Columns;
import dipstick.intake.make.TableReader;
import dipstick.intake.rows.Cell;
import dipstick.intake.rows.Row;
import dipstick.intake.rows.UnreadableRows;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Where the header of a table stands, and what is in its columns, from the whole file.
 *
 * @param headerLines 1 or 2
 * @param totals rows that are no more than totals
 */
record TableProfile(
        Columns columns,
        long headerLine,
        int headerLines,
        List<ColumnProfile> profiles,
        List<LeaveOut> totals,
        int rows) {
    private static final FieldNames NAMES = FieldNames.ofTheTrade();

    static TableProfile of(RowsFile table) throws IOException {
        List<Row> first = TableReader.first(table, TableReader.HEADER_WITHIN);
        if (first.isEmpty()) {
            throw new UnreadableRows(1, "There is nothing in the file.");
        }
        int header = header(first);
        int lines = isOverTwoLines(first, header) ? 2 : 1;
        try (TableReader reader = TableReader.open(table, header, lines, List.of())) {
            List<ColumnProfile> profiles =
                    reader.columns().names().stream().map(ColumnProfile::new).toList();
            List<LeaveOut> totals = new ArrayList<>();
            int rows = 0;
            for (Optional<Row> row = reader.next(); row.isPresent(); row = reader.next()) {
                Optional<LeaveOut> total = total(row.get(), reader.columns());
                if (total.isPresent()) {
                    totals.add(total.get());
                    continue;
                }
                rows++;
                for (int i = 0; i < profiles.size(); i++) {
                    profiles.get(i).add(row.get().at(i));
                }
            }
            return new TableProfile(
                    reader.columns(),
                    first.get(header).line(),
                    lines,
                    profiles,
                    totals.stream().distinct().toList(),
                    rows);
        }
    }

    /** The first row that is as wide as most and names most columns that are known; else the first that is as wide. */
    private static int header(List<Row> first) {
        int width = usualWidth(first);
        int best = -1;
        long most = -1;
        for (int i = 0; i < first.size(); i++) {
            Row row = first.get(i);
            long filled = row.cells().stream().filter(cell -> !cell.isBlank()).count();
            if (filled * 10 < width * 6L || !row.cells().stream().allMatch(TableProfile::mayBeName)) {
                continue;
            }
            long known = row.cells().stream()
                    .filter(cell -> NAMES.of(cell.text()).isPresent())
                    .count();
            if (known > most) {
                best = i;
                most = known;
            }
        }
        return Math.max(best, 0);
    }

    private static int usualWidth(List<Row> rows) {
        Map<Integer, Integer> counts = new HashMap<>();
        rows.forEach(row -> counts.merge(
                (int) row.cells().stream().filter(cell -> !cell.isBlank()).count(), 1, Integer::sum));
        return counts.entrySet().stream()
                .max(Map.Entry.<Integer, Integer>comparingByValue().thenComparing(Map.Entry.comparingByKey()))
                .map(Map.Entry::getKey)
                .orElse(1);
    }

    private static boolean mayBeName(Cell cell) {
        return cell instanceof Cell.Text
                && !cell.text().matches("[+-]?[\\d.,]+|\\d{1,4}[/.-]\\d{1,2}[/.-]\\d{1,4}.*")
                && cell.text().length() <= 120;
    }

    /** Where the line below names more columns that are known than the one above does alone. */
    private static boolean isOverTwoLines(List<Row> first, int header) {
        if (header + 1 >= first.size()
                || !first.get(header + 1).cells().stream().allMatch(TableProfile::mayBeName)) {
            return false;
        }
        Columns alone = Columns.of(first.get(header), Optional.empty());
        Columns both = Columns.of(first.get(header), Optional.of(first.get(header + 1)));
        return known(both) > known(alone)
                || (blanks(alone, both.names().size()) > 0
                        && known(both) == known(alone)
                        && known(alone) > 0
                        && blanks(both, both.names().size()) == 0);
    }

    private static long known(Columns columns) {
        return columns.names().stream()
                .filter(name -> NAMES.of(name).isPresent())
                .count();
    }

    private static long blanks(Columns columns, int width) {
        return columns.names().stream().filter(String::isEmpty).count()
                + Math.max(0, width - columns.names().size());
    }

    /** A row that begins with a word such as “Total”, and says little else. */
    private static Optional<LeaveOut> total(Row row, Columns columns) {
        long filled = row.cells().stream().filter(cell -> !cell.isBlank()).count();
        if (filled * 2 > columns.names().size()) {
            return Optional.empty();
        }
        for (int i = 0; i < Math.min(3, columns.names().size()); i++) {
            String cell = row.at(i).text();
            if (NAMES.isTotal(cell) && !columns.names().get(i).isEmpty()) {
                return Optional.of(new LeaveOut(
                        columns.names().get(i), FieldNames.plain(cell).split(" ")[0]));
            }
        }
        return Optional.empty();
    }
}
