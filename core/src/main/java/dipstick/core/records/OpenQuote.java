package dipstick.core.records;

import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.FilterReader;
import java.io.IOException;
import java.io.Reader;

/**
 * Text on its way to a reader of delimited rows, which takes a quote that is open at the end as closed there: whatever
 * stands behind it becomes one cell, and its rows are lost. Each quote that opens has one that closes, so their number
 * tells.
 */
public final class OpenQuote extends FilterReader {
    private boolean odd;
    private char last;

    public OpenQuote(Reader text) {
        super(text);
    }

    @Override
    public int read(char[] chars, int from, int length) throws IOException {
        int read = super.read(chars, from, length);
        for (int i = from; i < from + read; i++) {
            odd ^= chars[i] == '"';
            last = chars[i] == '\n' || chars[i] == '\r' ? last : chars[i];
        }
        return read;
    }

    /**
     * Whether the last row of the text, all of which was read, swallowed the rows behind it. A quote within a cell that is
     * not quoted opens nothing, so it is looked at as well whether the last cell is closed.
     */
    public boolean swallowed(CsvRecord row) {
        return odd && last != '"' && row.getField(row.getFieldCount() - 1).indexOf('\n') >= 0;
    }
}
