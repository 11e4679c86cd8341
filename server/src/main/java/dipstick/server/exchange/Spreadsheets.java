package dipstick.server.exchange;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import dipstick.server.web.SafeCell;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;

/** Tables as CSV (RFC 4180) and as Office Open XML (ISO/IEC 29500). No cell is a formula. */
final class Spreadsheets {
    /** What tells a spreadsheet that the file is UTF-8. */
    private static final String BYTE_ORDER_MARK = "\uFEFF";

    private static final String VERSION = "1.0";

    private Spreadsheets() {}

    static byte[] csv(Outgoing out, List<Column> columns) throws IOException {
        StringWriter text = new StringWriter();
        text.write(BYTE_ORDER_MARK);
        try (CsvWriter csv =
                CsvWriter.builder().lineDelimiter(LineDelimiter.CRLF).build(text)) {
            csv.writeRecord(columns.stream().map(Spreadsheets::header).toList());
            out.people()
                    .forEach(one -> csv.writeRecord(columns.stream()
                            .map(column -> SafeCell.of(column.of(one, out.records())))
                            .toList()));
            csv.writeRecord(SafeCell.of(out.footer()));
        }
        return text.toString().getBytes(StandardCharsets.UTF_8);
    }

    static byte[] xlsx(Outgoing out, List<Column> columns) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (Workbook book = new Workbook(bytes, "Dipstick", VERSION)) {
            Worksheet sheet = book.newWorksheet("List");
            for (int column = 0; column < columns.size(); column++) {
                sheet.value(0, column, header(columns.get(column)));
                sheet.style(0, column).bold().set();
            }
            int row = 1;
            for (var one : out.people()) {
                for (int column = 0; column < columns.size(); column++) {
                    // A text, which no spreadsheet computes.
                    sheet.value(row, column, columns.get(column).of(one, out.records()));
                }
                row++;
            }
            sheet.value(row + 1, 0, out.footer());
            sheet.freezePane(0, 1);
        }
        return bytes.toByteArray();
    }

    private static String header(Column column) {
        return column.name().toLowerCase(Locale.ROOT);
    }
}
