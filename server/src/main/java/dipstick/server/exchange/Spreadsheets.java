package dipstick.server.exchange;

import dipstick.server.outreach.Listed;
import dipstick.server.web.CsvTable;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.regex.Pattern;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;

/** Tables as CSV (RFC 4180) and as Office Open XML (ISO/IEC 29500). No cell is a formula. */
final class Spreadsheets {
    private static final String VERSION = "1.0";

    private static final Pattern DAY = Pattern.compile("\\d{4}-\\d{2}-\\d{2}");

    private static final Pattern NUMBER = Pattern.compile("-?\\d{1,15}(\\.\\d{1,15})?");

    private Spreadsheets() {}

    static byte[] csv(Outgoing out) {
        List<TableColumn> columns = out.columns();
        return CsvTable.of(
                        columns.stream().map(TableColumn::name).toList(),
                        out.people().stream()
                                .map(one -> columns.stream()
                                        .map(column -> column.of(one))
                                        .toList()))
                .getBytes(StandardCharsets.UTF_8);
    }

    static byte[] xlsx(Outgoing out) throws IOException {
        List<TableColumn> columns = out.columns();
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (Workbook book = new Workbook(bytes, "Dipstick", VERSION)) {
            Worksheet sheet = book.newWorksheet("List");
            for (int column = 0; column < columns.size(); column++) {
                sheet.value(0, column, columns.get(column).name());
                sheet.style(0, column).bold().set();
            }
            int row = 1;
            for (var one : out.people()) {
                for (int column = 0; column < columns.size(); column++) {
                    cell(sheet, row, column, columns.get(column), one);
                }
                row++;
            }
            sheet.freezePane(0, 1);
            if (!columns.isEmpty()) {
                sheet.setAutoFilter(0, 0, Math.max(1, row - 1), columns.size() - 1);
            }
            Worksheet about = book.newWorksheet("About");
            about.value(0, 0, out.footer());
        }
        return bytes.toByteArray();
    }

    /** A day and a number as such; else a text, which no spreadsheet computes. */
    private static void cell(Worksheet sheet, int row, int place, TableColumn column, Listed one) {
        String text = column.of(one);
        if (DAY.matcher(text).matches()) {
            sheet.value(row, place, LocalDate.parse(text));
            sheet.style(row, place).format("yyyy-mm-dd").set();
        } else if (column.isNumber() && NUMBER.matcher(text).matches()) {
            sheet.value(row, place, new BigDecimal(text));
        } else if (!text.isEmpty()) {
            sheet.value(row, place, text);
        }
    }
}
