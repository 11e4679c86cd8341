package dipstick.intake.files;

import dipstick.intake.describe.FileFormat;
import dipstick.intake.describe.TableShape;
import dipstick.intake.rows.Rows;
import dipstick.intake.rows.UnreadableRows;
import dipstick.intake.tables.Encoding;
import dipstick.intake.tables.OpenDocumentRows;
import dipstick.intake.tables.Separator;
import dipstick.intake.tables.TextRows;
import dipstick.intake.tables.WorkbookRows;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.IllegalCharsetNameException;
import java.nio.charset.UnsupportedCharsetException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/**
 * A file that is read as rows.
 *
 * @param how found out from the file, or said by whoever knows it
 */
public record RowsFile(Path file, How how) {
    private static final String SEND_THE_TABLE = "Save the table itself, as CSV or a workbook, and send that.";

    /** How a file is read as rows. */
    public sealed interface How {
        record Text(Charset charset, char separator) implements How {}

        /** @param sheet its name; empty for the first */
        record Workbook(String sheet) implements How {}

        /** @param sheet its name; empty for the first */
        record OpenDocument(String sheet) implements How {}

        /** A format that says itself what is what. */
        record Standard(FileFormat format, Charset charset) implements How {}
    }

    /** What is said of how a file is to be read; what is not said is found out. */
    public record Said(Optional<String> encoding, Optional<Character> separator, Optional<String> sheet) {
        public static final Said NOTHING = new Said(Optional.empty(), Optional.empty(), Optional.empty());

        /** An empty text says nothing; of a separator the first letter counts. */
        public static Said of(String encoding, String separator, String sheet) {
            return new Said(
                    Optional.of(encoding).filter(text -> !text.isEmpty()),
                    Optional.of(separator).filter(text -> !text.isEmpty()).map(text -> text.charAt(0)),
                    Optional.of(sheet).filter(text -> !text.isEmpty()));
        }

        /** The same kind of table where something is said of how it is read; what is not said stays. */
        public TableShape in(TableShape table) {
            return table.readAs(encoding, separator.map(String::valueOf), sheet);
        }

        /** What is said of tables of a kind. */
        public static Said of(TableShape table) {
            return new Said(table.encoding(), table.separator().map(text -> text.charAt(0)), table.sheet());
        }
    }

    /** @throws UnreadableRows where the file is no table */
    public static RowsFile of(Path file, Said said) throws IOException {
        String sheet = said.sheet().orElse("");
        How how = switch (Packed.Kind.of(file)) {
            case XLSX -> new How.Workbook(sheet);
            case ODS -> new How.OpenDocument(sheet);
            case TEXT -> text(file, said);
            case OLD_WORKBOOK ->
                throw new UnreadableRows(
                        1,
                        "This is a workbook of the old kind (.xls) or one with a password. Save it as .xlsx without one"
                                + " and send it again.");
            case PICTURE ->
                throw new UnreadableRows(1, "This is a picture, and nothing is read from pictures. " + SEND_THE_TABLE);
            case PDF ->
                throw new UnreadableRows(
                        1, "This is a PDF, made to be printed; nothing is read from it. " + SEND_THE_TABLE);
            case ZIP, GZIP -> throw new UnreadableRows(1, "This is an archive within an archive.");
        };
        return new RowsFile(file, how);
    }

    private static How text(Path file, Said said) throws IOException {
        Charset charset = said.encoding().isPresent() ? charset(said.encoding().get()) : Encoding.of(file);
        FileFormat format = Standards.formatOf(file, charset);
        if (format != FileFormat.TABLE) {
            return new How.Standard(format, charset);
        }
        char separator = said.separator().isPresent() ? said.separator().get() : Separator.of(file, charset);
        return new How.Text(charset, separator);
    }

    private static Charset charset(String name) {
        try {
            return Charset.forName(name);
        } catch (IllegalCharsetNameException | UnsupportedCharsetException unknown) {
            throw new UnreadableRows(1, "There is no encoding “" + name + "”.");
        }
    }

    public FileFormat format() {
        return how instanceof How.Standard(FileFormat format, Charset _) ? format : FileFormat.TABLE;
    }

    public Rows open() throws IOException {
        return switch (how) {
            case How.Text(Charset charset, char separator) -> TextRows.open(file, charset, separator);
            case How.Standard(FileFormat format, Charset charset) -> Standards.open(file, format, charset);
            case How.Workbook(String sheet) -> WorkbookRows.open(file, sheet);
            case How.OpenDocument(String sheet) -> OpenDocumentRows.open(file, sheet);
        };
    }

    /** The names of the sheets; none where it is a text. */
    public List<String> sheets() throws IOException {
        return switch (how) {
            case How.Text _, How.Standard _ -> List.of();
            case How.Workbook _ -> WorkbookRows.sheets(file);
            case How.OpenDocument _ -> OpenDocumentRows.sheets(file);
        };
    }
}
