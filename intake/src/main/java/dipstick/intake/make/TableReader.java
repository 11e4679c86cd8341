package dipstick.intake.make;

import dipstick.core.text.NormalText;
import dipstick.intake.describe.FileFormat;
import dipstick.intake.describe.Intake;
import dipstick.intake.describe.TableShape.LeaveOut;
import dipstick.intake.files.RowsFile;
import dipstick.intake.rows.Row;
import dipstick.intake.rows.Rows;
import dipstick.intake.rows.UnreadableRows;
import java.io.Closeable;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** Reads the rows below a header; what stands above it, and what the intake leaves out, is passed over. */
public final class TableReader implements Closeable {
    /** A header stands among the first rows, below a few lines of title. */
    public static final int HEADER_WITHIN = 60;

    private final Rows rows;
    private final Columns columns;
    private final List<LeaveOut> leaveOut;
    private final boolean isText;
    private int leftOut;

    private TableReader(Rows rows, Columns columns, List<LeaveOut> leaveOut, boolean isText) {
        this.rows = rows;
        this.columns = columns;
        this.leaveOut = leaveOut;
        this.isText = isText;
    }

    /**
     * Opens a file as its intake says, wherever the header stands in it.
     *
     * @throws UnreadableRows where there is no header with the columns of which something is made
     */
    public static TableReader open(Path file, Intake intake) throws IOException {
        List<String> used = intake.columns().toList();
        return open(file, intake, used.isEmpty() ? intake.table().columns() : used);
    }

    /** @param wanted columns of which something is made */
    static TableReader open(Path file, Intake intake, List<String> wanted) throws IOException {
        RowsFile table = RowsFile.of(file, RowsFile.Said.of(intake.table()));
        if (table.format() != intake.table().format()) {
            throw new UnreadableRows(
                    1, "This is not what the intake “" + intake.name() + "” reads: the file is of another format.");
        }
        int header = header(table, wanted, intake.table().headerLines());
        return open(table, header, intake.table().headerLines(), intake.table().leaveOut());
    }

    /** @param header how many rows stand above the header */
    public static TableReader open(RowsFile table, int header, int headerLines, List<LeaveOut> leaveOut)
            throws IOException {
        Rows rows = table.open();
        try {
            for (int i = 0; i < header; i++) {
                rows.next();
            }
            Row upper = rows.next().orElseThrow(() -> new UnreadableRows(1, "There is nothing in the file."));
            Optional<Row> lower = headerLines > 1 ? rows.next() : Optional.empty();
            return new TableReader(rows, Columns.of(upper, lower), leaveOut, table.how() instanceof RowsFile.How.Text);
        } catch (RuntimeException | IOException failure) {
            rows.close();
            throw failure;
        }
    }

    private static int header(RowsFile table, List<String> wanted, int lines) throws IOException {
        if (table.format() != FileFormat.TABLE) {
            return 0;
        }
        List<Row> first = first(table, HEADER_WITHIN);
        int best = -1;
        long most = 0;
        for (int i = 0; i < first.size(); i++) {
            Optional<Row> lower = lines > 1 && i + 1 < first.size() ? Optional.of(first.get(i + 1)) : Optional.empty();
            long found = Columns.of(first.get(i), lower).count(wanted);
            if (found > most) {
                best = i;
                most = found;
            }
        }
        if (best < 0 || most * 2 < wanted.size()) {
            throw new UnreadableRows(
                    1,
                    "There is no header with the columns that are expected: "
                            + wanted.stream().limit(8).collect(Collectors.joining(", ")) + ".");
        }
        return best;
    }

    /** The first rows of a table, titles and header among them. */
    public static List<Row> first(RowsFile table, int most) throws IOException {
        List<Row> first = new ArrayList<>();
        try (Rows rows = table.open()) {
            for (Optional<Row> row = rows.next(); row.isPresent(); row = rows.next()) {
                first.add(row.get());
                if (first.size() == most) {
                    break;
                }
            }
        }
        return first;
    }

    public Columns columns() {
        return columns;
    }

    /** How many rows the intake left out so far. */
    public int leftOut() {
        return leftOut;
    }

    public Optional<Row> next() throws IOException {
        for (Optional<Row> row = rows.next(); row.isPresent(); row = rows.next()) {
            if (!isLeftOut(row.get())) {
                return row;
            }
            leftOut++;
        }
        return Optional.empty();
    }

    /** Whether a row has as many cells as the header; a sheet has no ends of rows. */
    boolean fits(Row row) {
        int width = columns.names().size();
        boolean more = row.cells().stream().skip(width).anyMatch(cell -> !cell.isBlank());
        return !more && (!isText || row.cells().size() >= width);
    }

    /** What is wrong with a row that does not fit. */
    Trouble misfit(Row row) {
        String said = "The row has " + row.cells().size() + " cells where the header has "
                + columns.names().size() + ".";
        return new Trouble(row.line(), "", Trouble.Reason.OTHER_CELLS, "", said);
    }

    private boolean isLeftOut(Row row) {
        return leaveOut.stream().anyMatch(rule -> {
            int column = columns.find(rule.column()).orElse(-1);
            String cell = column < 0 ? "" : NormalText.of(row.at(column).text());
            return column >= 0 && beginsWith(cell, NormalText.of(rule.startsWith()));
        });
    }

    /** Whole words: who is called Totalski is no total. */
    private static boolean beginsWith(String cell, String words) {
        return words.isEmpty()
                ? cell.isEmpty()
                : cell.startsWith(words)
                        && (cell.length() == words.length() || !Character.isLetterOrDigit(cell.charAt(words.length())));
    }

    @Override
    public void close() throws IOException {
        rows.close();
    }
}
