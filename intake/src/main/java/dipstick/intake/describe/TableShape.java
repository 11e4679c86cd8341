package dipstick.intake.describe;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * How the table is found in a file; what is absent is found out from the file.
 *
 * @param format what it is written in, a table unless said
 * @param headerLines how many lines its header has, 1 or 2
 * @param columns the names of all columns, by which files of this kind are known again
 * @param leaveOut rows that are none of the table, such as a total
 */
public record TableShape(
        FileFormat format,
        Optional<String> encoding,
        Optional<String> separator,
        Optional<String> sheet,
        int headerLines,
        List<String> columns,
        List<LeaveOut> leaveOut) {
    static final TableShape ANY = of(FileFormat.TABLE);

    /** All else is found out, or said by the format itself. */
    public static TableShape of(FileFormat format) {
        return new TableShape(format, Optional.empty(), Optional.empty(), Optional.empty(), 1, List.of(), List.of());
    }

    /** A table with a header of one line, however it is written. */
    public static TableShape of(List<String> columns) {
        return new TableShape(
                FileFormat.TABLE, Optional.empty(), Optional.empty(), Optional.empty(), 1, columns, List.of());
    }

    public TableShape(
            @Nullable FileFormat format,
            Optional<String> encoding,
            Optional<String> separator,
            Optional<String> sheet,
            int headerLines,
            @Nullable List<String> columns,
            @Nullable List<LeaveOut> leaveOut) {
        this.format = format == null ? FileFormat.TABLE : format;
        this.encoding = encoding;
        this.separator = separator;
        this.sheet = sheet;
        this.headerLines = Math.max(1, headerLines);
        this.columns = columns == null ? List.of() : List.copyOf(columns);
        this.leaveOut = leaveOut == null ? List.of() : List.copyOf(leaveOut);
    }

    /** The same where something is said of how the bytes are read; what is not said stays. */
    public TableShape readAs(
            Optional<String> otherEncoding, Optional<String> otherSeparator, Optional<String> otherSheet) {
        return new TableShape(
                format,
                otherEncoding.or(() -> encoding),
                otherSeparator.or(() -> separator),
                otherSheet.or(() -> sheet),
                headerLines,
                columns,
                leaveOut);
    }

    /**
     * Rows that are left out.
     *
     *
     * @param column whose cell is looked at
     * @param startsWith the words with which the cell begins, compared as text is; a blank cell where it is empty
     */
    public record LeaveOut(String column, String startsWith) {}
}
