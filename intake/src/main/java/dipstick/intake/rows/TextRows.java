package dipstick.intake.rows;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import de.siegmar.fastcsv.reader.FieldMismatchStrategy;
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
final class TextRows implements Rows {
    private static final int LONGEST_CELL = 1 << 20;
    private static final Pattern LINE = Pattern.compile("line (\\d+)");

    private final CsvReader<CsvRecord> reader;
    private final java.util.Iterator<CsvRecord> records;
    /** A line that only names the separator is none of the table. */
    private final boolean namesSeparator;

    private TextRows(CsvReader<CsvRecord> reader, boolean namesSeparator) {
        this.reader = reader;
        this.records = reader.iterator();
        this.namesSeparator = namesSeparator;
    }

    static TextRows open(Path file, Charset charset, char separator) throws IOException {
        BufferedReader text = new BufferedReader(new InputStreamReader(Files.newInputStream(file), charset), 1 << 16);
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
        return new TextRows(reader, Separator.isNamed(file, charset));
    }

    @Override
    public Optional<Row> next() {
        while (hasNext()) {
            CsvRecord record = records.next();
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
            throw new UnreadableRows(
                    line.find() ? Long.parseLong(line.group(1)) : 1,
                    "From here on the file cannot be read as columns: a quote does not close where a cell ends, or a"
                            + " cell is longer than a million characters.");
        } catch (UncheckedIOException broken) {
            throw new UnreadableRows(
                    1,
                    "The file could not be read to its end: "
                            + broken.getCause().getMessage());
        }
    }

    @Override
    public void close() throws IOException {
        reader.close();
    }
}
