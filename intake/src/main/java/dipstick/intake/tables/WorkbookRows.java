package dipstick.intake.tables;

import dipstick.intake.rows.Cell;
import dipstick.intake.rows.Row;
import dipstick.intake.rows.Rows;
import dipstick.intake.rows.UnreadableRows;
import java.io.IOException;
import java.nio.file.Path;
import java.time.DateTimeException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.dhatim.fastexcel.reader.ExcelReaderException;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.ReadingOptions;
import org.dhatim.fastexcel.reader.Sheet;
import org.dhatim.fastexcel.reader.SheetVisibility;

/** A sheet of a workbook (Office Open XML, ECMA-376), read row by row; days and numbers stay what they are. */
public final class WorkbookRows implements Rows {
    private final ReadableWorkbook workbook;
    private final Stream<org.dhatim.fastexcel.reader.Row> stream;
    private final Iterator<org.dhatim.fastexcel.reader.Row> rows;

    private WorkbookRows(ReadableWorkbook workbook, Sheet sheet) throws IOException {
        this.workbook = workbook;
        this.stream = sheet.openStream();
        this.rows = stream.iterator();
    }

    /** Those that can be seen come first. */
    public static List<String> sheets(Path file) throws IOException {
        try (ReadableWorkbook workbook = open(file)) {
            return workbook.getSheets()
                    .sorted(Comparator.comparing(WorkbookRows::isSeen).reversed())
                    .map(Sheet::getName)
                    .toList();
        }
    }

    private static boolean isSeen(Sheet sheet) {
        return sheet.getVisibility() == SheetVisibility.VISIBLE;
    }

    /** @param sheet its name; the first that can be seen where it is empty */
    public static WorkbookRows open(Path file, String sheet) throws IOException {
        ReadableWorkbook workbook = open(file);
        Optional<Sheet> found = workbook.getSheets()
                .filter(one -> sheet.isEmpty() ? isSeen(one) : one.getName().equals(sheet))
                .findFirst();
        if (found.isEmpty()) {
            workbook.close();
            throw new UnreadableRows(1, "The workbook has no sheet “" + sheet + "”.");
        }
        return new WorkbookRows(workbook, found.get());
    }

    private static ReadableWorkbook open(Path file) throws IOException {
        try {
            return new ReadableWorkbook(file.toFile(), new ReadingOptions(true, false));
        } catch (ExcelReaderException | IOException broken) {
            throw new UnreadableRows(1, "The workbook is damaged or protected by a password, so it cannot be read.");
        }
    }

    @Override
    public Optional<Row> next() {
        try {
            while (rows.hasNext()) {
                org.dhatim.fastexcel.reader.Row read = rows.next();
                List<Cell> cells = new ArrayList<>(read.getCellCount());
                for (int i = 0; i < read.getCellCount(); i++) {
                    cells.add(read.getOptionalCell(i).map(WorkbookRows::cell).orElse(Cell.blank()));
                }
                Row row = new Row(read.getRowNum(), cells);
                if (!row.isBlank()) {
                    return Optional.of(row);
                }
            }
            return Optional.empty();
        } catch (ExcelReaderException broken) {
            throw new UnreadableRows(1, "The sheet is damaged and could not be read to its end.");
        }
    }

    private static Cell cell(org.dhatim.fastexcel.reader.Cell cell) {
        return switch (cell.getType()) {
            case NUMBER -> number(cell);
            case BOOLEAN -> new Cell.Truth(cell.asBoolean());
            case ERROR -> new Cell.Broken(cell.getRawValue());
            case EMPTY -> Cell.blank();
            case STRING -> new Cell.Text(cell.asString());
            case FORMULA -> formula(cell);
        };
    }

    /** What a formula came to when the workbook was saved. */
    private static Cell formula(org.dhatim.fastexcel.reader.Cell cell) {
        return switch (cell.getValue()) {
            case null -> cell.getRawValue() == null ? Cell.blank() : new Cell.Text(cell.getRawValue());
            case java.math.BigDecimal _ -> number(cell);
            case Boolean truth -> new Cell.Truth(truth);
            case Object value ->
                value.toString().startsWith("#") ? new Cell.Broken(value.toString()) : new Cell.Text(value.toString());
        };
    }

    private static Cell number(org.dhatim.fastexcel.reader.Cell cell) {
        String format = String.valueOf(cell.getDataFormatString());
        if (DayFormat.isOfDays(format)) {
            try {
                return new Cell.Moment(cell.asDate());
            } catch (DateTimeException | ExcelReaderException noDay) {
                return new Cell.Broken(cell.getRawValue());
            }
        }
        return new Cell.Numeric(Double.parseDouble(cell.getRawValue()));
    }

    @Override
    public void close() throws IOException {
        stream.close();
        workbook.close();
    }
}
