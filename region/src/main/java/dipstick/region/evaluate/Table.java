package dipstick.region.evaluate;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import dipstick.core.export.SafeCell;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;

/** A table for a spreadsheet, as CSV (RFC 4180); no cell is a formula. */
final class Table {
    private final List<List<String>> rows = new ArrayList<>();

    Table(String... columns) {
        rows.add(List.of(columns));
    }

    void add(Object... cells) {
        List<String> row = new ArrayList<>();
        for (Object cell : cells) {
            row.add(SafeCell.of(cell.toString()));
        }
        rows.add(row);
    }

    String csv() {
        StringWriter text = new StringWriter();
        try (CsvWriter csv = CsvWriter.builder().lineDelimiter(LineDelimiter.LF).build(text)) {
            rows.forEach(csv::writeRecord);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return text.toString();
    }
}
