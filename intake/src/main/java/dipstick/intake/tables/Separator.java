package dipstick.intake.tables;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import de.siegmar.fastcsv.reader.FieldMismatchStrategy;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.Charset;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;

/** Finds out what stands between the cells of a text: what gives most rows the same number of cells. */
public final class Separator {
    private static final char[] CHOICES = {',', ';', '\t', '|'};
    private static final int LOOKED_AT = 1 << 17;
    private static final int MOST_ROWS = 300;
    private static final String NAMED = "sep=";

    /** With a mark before it and the end of its line. */
    private static final int LONGEST_NAMED = 8;

    private Separator() {}

    public static char of(Path file, Charset charset) throws IOException {
        String start = start(file, charset, LOOKED_AT);
        if (isNamed(start)) {
            return start.charAt(NAMED.length());
        }
        char best = ',';
        double bestScore = -1;
        for (char choice : CHOICES) {
            double score = score(start, choice);
            if (score > bestScore) {
                best = choice;
                bestScore = score;
            }
        }
        return best;
    }

    static boolean isNamed(Path file, Charset charset) throws IOException {
        return isNamed(start(file, charset, LONGEST_NAMED));
    }

    private static boolean isNamed(String start) {
        return start.toLowerCase(Locale.ROOT).startsWith(NAMED)
                && start.length() > NAMED.length()
                && (start.length() == NAMED.length() + 1 || "\r\n".indexOf(start.charAt(NAMED.length() + 1)) >= 0);
    }

    private static String start(Path file, Charset charset, int most) throws IOException {
        char[] chars = new char[most];
        int filled = 0;
        try (BufferedReader text = new BufferedReader(new InputStreamReader(Files.newInputStream(file), charset))) {
            for (int read = text.read(chars, 0, chars.length);
                    read > 0;
                    read = text.read(chars, filled, chars.length - filled)) {
                filled += read;
            }
        }
        int from = filled > 0 && chars[0] == '\uFEFF' ? 1 : 0;
        return new String(chars, from, filled - from);
    }

    /** How many rows agree on a number of cells, and a little for more cells; one cell is no table. */
    private static double score(String start, char separator) {
        Map<Integer, Integer> rowsByCells = new HashMap<>();
        int rows = 0;
        try (CsvReader<CsvRecord> reader = CsvReader.builder()
                .fieldSeparator(separator)
                .skipEmptyLines(true)
                .missingFieldStrategy(FieldMismatchStrategy.IGNORE)
                .extraFieldStrategy(FieldMismatchStrategy.IGNORE)
                .ofCsvRecord(start)) {
            for (CsvRecord row : reader) {
                rowsByCells.merge(row.getFieldCount(), 1, Integer::sum);
                if (++rows == MOST_ROWS) {
                    break;
                }
            }
        } catch (CsvParseException | IOException | java.io.UncheckedIOException brokenAtTheEnd) {
            // The last row of what was looked at may be cut off within quotes.
            rows++;
        }
        int all = Math.max(1, rows);
        return rowsByCells.entrySet().stream()
                .filter(one -> one.getKey() > 1)
                .mapToDouble(one -> (double) one.getValue() / all + Math.min(one.getKey(), 50) / 1000.0)
                .max()
                .orElse(0);
    }
}
