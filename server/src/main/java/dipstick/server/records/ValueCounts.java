package dipstick.server.records;

import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/** The values of a column and how many people or records have each. */
public final class ValueCounts {
    private ValueCounts() {}

    public record ValueCount(String value, int count) {}

    /** Most frequent first. */
    public static List<ValueCount> of(Column.OfText texts) {
        int[] counts = new int[texts.codeCount()];
        for (int row = 0; row < texts.codes().size(); row++) {
            counts[texts.codes().get(row)]++;
        }
        return IntStream.range(Codes.MISSING + 1, counts.length)
                .filter(code -> counts[code] > 0)
                .mapToObj(code -> new ValueCount(texts.written().get(code), counts[code]))
                .sorted(Comparator.comparingInt(ValueCount::count).reversed())
                .toList();
    }
}
