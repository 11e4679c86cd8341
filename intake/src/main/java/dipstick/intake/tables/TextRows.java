package dipstick.intake.tables;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import de.siegmar.fastcsv.reader.FieldMismatchStrategy;
import dipstick.core.records.OpenQuote;
import dipstick.intake.rows.Cell;
import dipstick.intake.rows.Row;
import dipstick.intake.rows.Rows;
import dipstick.intake.rows.UnreadableRows;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.Charset;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Delimited text, with whatever stands between its cells (RFC 4180 but for the separator). */
public final class TextRows implements Rows {
    private static final int LONGEST_CELL = 1 << 20;
    private static final Pattern LINE = Pattern.compile("line (\\d+)");

    private final CsvReader<CsvRecord> reader;
    private final OpenQuote quotes;
    private final java.util.Iterator<CsvRecord> records;
    /** A line that only names the separator is none of the table. */
    private final boolean namesSeparator;

    private TextRows(CsvReader<CsvRecord> reader, OpenQuote quotes, boolean namesSeparator) {
        this.reader = reader;
        this.quotes = quotes;
        this.records = reader.iterator();
        this.namesSeparator = namesSeparator;
    }

    public static TextRows open(Path file, Charset charset, char separator) throws IOException {
        OpenQuote quotes = new OpenQuote(new InputStreamReader(Files.newInputStream(file), charset));
        BufferedReader text = new BufferedReader(quotes, 1 << 16);
        text.mark(8);
        if (text.read() != '\uFEFF') {
            text.reset();
        }
        CsvReader<CsvRecord> reader = CsvReader.builder()
                .fieldSeparator(separator)
                .skipEmptyLines(true)
                .missingFieldStrategy(FieldMismatchStrategy.IGNORE)
                .extraFieldStrategy(FieldMismatchStrategy.IGNORE)
                .maxBufferSize(LONGEST_CELL)
                .ofCsvRecord(text);
        return new TextRows(reader, quotes, Separator.isNamed(file, charset));
    }

    @Override
    public Optional<Row> next() {
        while (hasNext()) {
            CsvRecord record = records.next();
            if (isCutOff(record)) {
                throw broken(record.getStartingLineNumber());
            }
            List<Cell> cells =
                    record.getFields().stream().<Cell>map(Cell.Text::new).toList();
            Row row = new Row(record.getStartingLineNumber(), cells);
            boolean isName = namesSeparator && row.line() == 1;
            if (!isName && !row.isBlank()) {
                return Optional.of(row);
            }
        }
        return Optional.empty();
    }

    private boolean hasNext() {
        try {
            return records.hasNext();
        } catch (CsvParseException broken) {
            Matcher line = LINE.matcher(String.valueOf(broken.getMessage()));
            throw broken(line.find() ? Long.parseLong(line.group(1)) : 1);
        } catch (UncheckedIOException broken) {
            throw new UnreadableRows(
                    1,
                    "The file could not be read to its end: "
                            + broken.getCause().getMessage());
        }
    }

    /** Whether a quote that is open at the end of the file took everything behind it into one cell. */
    private boolean isCutOff(CsvRecord record) {
        return quotes.swallowed(record) && !hasNext();
    }

    private static UnreadableRows broken(long line) {
        return new UnreadableRows(
                line,
                "From here on the file cannot be read as columns: a quote does not close where a cell ends, or a"
                        + " cell is longer than a million characters.");
    }

    @Override
    public void close() throws IOException {
        reader.close();
    }
}
