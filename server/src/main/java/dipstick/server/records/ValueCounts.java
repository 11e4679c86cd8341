package dipstick.server.records;

import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.population.Concepts;
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
        count(texts, 0, texts.codes().size(), counts);
        return listed(texts, counts);
    }

    /** Of the records of some concepts. */
    public static List<ValueCount> of(Column.OfText texts, Concepts concepts, int[] some) {
        int[] counts = new int[texts.codeCount()];
        for (int concept : some) {
            count(texts, concepts.start(concept), concepts.end(concept), counts);
        }
        return listed(texts, counts);
    }

    private static void count(Column.OfText texts, int from, int to, int[] counts) {
        for (int row = from; row < to; row++) {
            counts[texts.codes().get(row)]++;
        }
    }

    private static List<ValueCount> listed(Column.OfText texts, int[] counts) {
        return IntStream.range(Codes.MISSING + 1, counts.length)
                .filter(code -> counts[code] > 0)
                .mapToObj(code -> new ValueCount(texts.written().get(code), counts[code]))
                .sorted(Comparator.comparingInt(ValueCount::count).reversed())
                .toList();
    }
}
