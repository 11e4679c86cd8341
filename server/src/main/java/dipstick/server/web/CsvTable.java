package dipstick.server.web;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import dipstick.core.export.SafeCell;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.stream.Stream;

/** A table as CSV (RFC 4180) for a spreadsheet: it is told that this is UTF-8, and takes no cell for a formula. */
public final class CsvTable {
    private static final String BYTE_ORDER_MARK = "\uFEFF";

    private CsvTable() {}

    public static String of(List<String> header, Stream<List<String>> rows) {
        StringWriter text = new StringWriter();
        text.write(BYTE_ORDER_MARK);
        try (CsvWriter csv =
                CsvWriter.builder().lineDelimiter(LineDelimiter.CRLF).build(text)) {
            Stream.concat(Stream.of(header), rows)
                    .forEach(row ->
                            csv.writeRecord(row.stream().map(SafeCell::of).toList()));
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return text.toString();
    }
}
