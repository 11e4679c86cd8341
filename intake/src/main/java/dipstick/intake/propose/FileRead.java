package dipstick.intake.propose;

import dipstick.intake.describe.FileFormat;
import dipstick.intake.describe.TableShape;
import dipstick.intake.files.RowsFile;
import java.util.List;
import java.util.Optional;

/**
 * How a file was read as rows.
 *
 * @param sheets of a workbook
 * @param said what a person said of it before
 */
record FileRead(RowsFile table, List<String> sheets, RowsFile.Said said, TableProfile profile) {
    FileRead {
        sheets = List.copyOf(sheets);
    }

    TableShape shape() {
        List<String> names = profile.columns().names().stream()
                .filter(name -> !name.isEmpty())
                .toList();
        // What was found out of the file is found out of the next one; what a person said is kept.
        return new TableShape(
                FileFormat.TABLE,
                said.encoding(),
                said.separator().map(String::valueOf),
                Optional.of(sheet()).filter(one -> said.sheet().isPresent() || !isFirst(one)),
                profile.headerLines(),
                names,
                profile.totals());
    }

    private String sheet() {
        return switch (table.how()) {
            case RowsFile.How.Text _, RowsFile.How.Standard _ -> "";
            case RowsFile.How.Workbook(String name) -> name;
            case RowsFile.How.OpenDocument(String name) -> name;
        };
    }

    /** The first sheet is found as such, whatever it is called next week. */
    private boolean isFirst(String name) {
        return name.isEmpty() || name.equals(sheets.getFirst());
    }

    Proposal.ReadAs readAs() {
        return switch (table.how()) {
            case RowsFile.How.Text(var charset, char separator) ->
                new Proposal.ReadAs(List.of(), "", charset.name(), String.valueOf(separator));
            case RowsFile.How.Standard(var _, var charset) -> new Proposal.ReadAs(List.of(), "", charset.name(), "");
            case RowsFile.How.Workbook _, RowsFile.How.OpenDocument _ ->
                new Proposal.ReadAs(sheets, sheet().isEmpty() ? sheets.getFirst() : sheet(), "", "");
        };
    }

    /** In words. */
    String format() {
        return switch (table.how()) {
            case RowsFile.How.Text(var charset, char separator) ->
                "text in " + charset.displayName() + ", cells parted by "
                        + switch (separator) {
                            case ',' -> "commas";
                            case ';' -> "semicolons";
                            case '\t' -> "tabs";
                            default -> "bars";
                        };
            case RowsFile.How.Standard(var standard, var _) -> standard.name();
            case RowsFile.How.Workbook _ -> "workbook (XLSX)" + oneOfSeveral();
            case RowsFile.How.OpenDocument _ -> "workbook (ODS)" + oneOfSeveral();
        };
    }

    /** That only one of several sheets is read is told. */
    private String oneOfSeveral() {
        return sheets.size() <= 1 ? "" : ", " + readAs().sheet() + " of its sheets: " + String.join(", ", sheets);
    }
}
