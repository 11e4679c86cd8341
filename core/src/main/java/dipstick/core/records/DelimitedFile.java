package dipstick.core.records;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import de.siegmar.fastcsv.reader.FieldMismatchStrategy;
import dipstick.core.text.NormalText;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.PushbackInputStream;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Delimited text (RFC 4180) with a header, read row by row: commas, semicolons or tabs, any line ends, quotes, with
 * or without a byte order mark, in UTF-8 (or in UTF-16 where a mark says so).
 */
final class DelimitedFile {
    /** No line of records is this long; a longer one means that the file is something else. */
    private static final int LONGEST_LINE = 1 << 20;

    private static final char[] SEPARATORS = {',', ';', '\t'};

    /** What the decoder puts where the bytes are no text in the file's encoding. */
    private static final char UNDECODABLE = '\uFFFD';

    private final List<String> header;
    private final long headerLine;
    private final Iterator<CsvRecord> rows;
    private final OpenQuote quotes;

    private DelimitedFile(List<String> header, long headerLine, Iterator<CsvRecord> rows, OpenQuote quotes) {
        this.quotes = quotes;
        this.header = header;
        this.headerLine = headerLine;
        this.rows = rows;
    }

    /**
     * Opens a file and reads its header.
     *
     * @param known the fields whose names are known in any case; other names keep their spelling
     * @param required the columns without which the file is not what it should be
     * @throws UnreadableFile if there is no header with these columns
     */
    static DelimitedFile open(InputStream bytes, Fields known, List<String> required) throws IOException {
        OpenQuote quotes = new OpenQuote(decode(bytes));
        BufferedReader text = new BufferedReader(quotes);
        char separator = findSeparator(text, known, required);
        Iterator<CsvRecord> rows = CsvReader.builder()
                .fieldSeparator(separator)
                .skipEmptyLines(true)
                // Rows of another length are told by line, not by breaking off.
                .missingFieldStrategy(FieldMismatchStrategy.IGNORE)
                .extraFieldStrategy(FieldMismatchStrategy.IGNORE)
                .maxBufferSize(LONGEST_LINE)
                .ofCsvRecord(text)
                .iterator();
        CsvRecord first = firstRow(rows);
        List<String> header =
                first.getFields().stream().map(NormalText::identifier).toList();
        checkHeader(header, known, required, first.getStartingLineNumber());
        return new DelimitedFile(header, first.getStartingLineNumber(), rows, quotes);
    }

    /** What the columns are, among the known fields and those of a practice. */
    Header header(Fields known, Fields practice) {
        return Header.of(header, headerLine, known, practice);
    }

    /** A row with as many cells as the header, on the line where it starts. */
    record Row(long line, List<String> cells) {}

    /** Hands on the next row; false where there is none any more. */
    boolean next(Consumer<Row> good, Consumer<RowProblem> bad) {
        if (!hasNext(rows)) {
            return false;
        }
        CsvRecord row = rows.next();
        long line = row.getStartingLineNumber();
        if (quotes.swallowed(row) && !hasNext(rows)) {
            throw notColumns(line);
        }
        if (row.getFieldCount() != header.size()) {
            bad.accept(new RowProblem(
                    line,
                    "",
                    "The row has " + cells(row.getFieldCount()) + " where the header has " + header.size() + "."));
            return true;
        }
        List<RowProblem> problems = undecodable(row);
        if (problems.isEmpty()) {
            good.accept(new Row(line, row.getFields()));
        } else {
            problems.forEach(bad);
        }
        return true;
    }

    private static String cells(int count) {
        return count == 1 ? "1 cell" : count + " cells";
    }

    private List<RowProblem> undecodable(CsvRecord row) {
        List<RowProblem> problems = new ArrayList<>();
        for (int i = 0; i < header.size(); i++) {
            String cell = row.getField(i);
            if (cell.indexOf(UNDECODABLE) >= 0 || cell.indexOf('\0') >= 0) {
                problems.add(new RowProblem(
                        row.getStartingLineNumber(),
                        header.get(i),
                        "The cell holds characters that are not UTF-8 text. Save the file as UTF-8 and bring it in"
                                + " again."));
            }
        }
        return problems;
    }

    private static Reader decode(InputStream bytes) throws IOException {
        PushbackInputStream start = new PushbackInputStream(bytes, 3);
        byte[] mark = start.readNBytes(3);
        int length = 0;
        Charset charset = StandardCharsets.UTF_8;
        if (mark.length == 3 && (mark[0] & 0xFF) == 0xEF && (mark[1] & 0xFF) == 0xBB && (mark[2] & 0xFF) == 0xBF) {
            length = 3;
        } else if (mark.length >= 2 && (mark[0] & 0xFF) == 0xFF && (mark[1] & 0xFF) == 0xFE) {
            length = 2;
            charset = StandardCharsets.UTF_16LE;
        } else if (mark.length >= 2 && (mark[0] & 0xFF) == 0xFE && (mark[1] & 0xFF) == 0xFF) {
            length = 2;
            charset = StandardCharsets.UTF_16BE;
        }
        start.unread(mark, length, mark.length - length);
        return new InputStreamReader(start, charset);
    }

    /** The separator with which the header has the required columns; else the one that splits it most. */
    private static char findSeparator(BufferedReader text, Fields known, List<String> required) throws IOException {
        String line = peekFirstLine(text);
        char best = ',';
        int bestScore = -1;
        for (char separator : SEPARATORS) {
            List<String> names = new ArrayList<>();
            for (String name : line.split(String.valueOf(separator), -1)) {
                names.add(knownSpelling(NormalText.identifier(name.replace("\"", "")), known));
            }
            int score = names.size() + (names.containsAll(required) ? LONGEST_LINE : 0);
            if (score > bestScore) {
                best = separator;
                bestScore = score;
            }
        }
        return best;
    }

    private static String peekFirstLine(BufferedReader text) throws IOException {
        text.mark(LONGEST_LINE + 1);
        StringBuilder line = new StringBuilder();
        int c = text.read();
        while (c >= 0 && line.length() < LONGEST_LINE - 1) {
            if (c == '\n' || c == '\r') {
                if (!line.isEmpty()) {
                    break;
                }
            } else {
                line.append((char) c);
            }
            c = text.read();
        }
        text.reset();
        if (line.length() >= LONGEST_LINE - 1) {
            throw new UnreadableFile(
                    1, "The first line is longer than a million characters: this is not a file of records.");
        }
        return line.toString();
    }

    private static CsvRecord firstRow(Iterator<CsvRecord> rows) {
        if (!hasNext(rows)) {
            throw new UnreadableFile(1, "The file is empty. Its first line should name the columns.");
        }
        return rows.next();
    }

    private static boolean hasNext(Iterator<CsvRecord> rows) {
        try {
            return rows.hasNext();
        } catch (CsvParseException broken) {
            throw notColumns(lineOf(broken));
        } catch (UncheckedIOException broken) {
            throw new UnreadableFile(
                    1,
                    "The file could not be read to its end: "
                            + broken.getCause().getMessage());
        }
    }

    private static UnreadableFile notColumns(long line) {
        return new UnreadableFile(
                line,
                "From here on the file cannot be read as columns: a quote does not close where a cell ends, or a line is"
                        + " longer than a million characters.");
    }

    private static long lineOf(CsvParseException broken) {
        Matcher line = Pattern.compile("line (\\d+)").matcher(String.valueOf(broken.getMessage()));
        return line.find() ? Long.parseLong(line.group(1)) : 1;
    }

    private static void checkHeader(List<String> header, Fields known, List<String> required, long line) {
        if (header.stream().anyMatch(name -> name.indexOf('\0') >= 0 || name.indexOf(UNDECODABLE) >= 0)) {
            throw new UnreadableFile(
                    line, "This is not text in UTF-8. Save the file as CSV in UTF-8 and bring it in again.");
        }
        List<String> names =
                header.stream().map(name -> knownSpelling(name, known)).toList();
        for (String name : required) {
            if (!names.contains(name)) {
                throw new UnreadableFile(
                        line,
                        "The header has no column “" + name + "”. It names: " + shorten(String.join(", ", header))
                                + ".");
            }
        }
    }

    static String shorten(String text) {
        return text.length() <= 200 ? text : text.substring(0, 200) + "…";
    }

    private static String knownSpelling(String name, Fields known) {
        String lower = NormalText.of(name);
        return known.find(lower).isPresent() ? lower : name;
    }
}
