package dipstick.core.population;

import dipstick.core.time.DateRange;
import java.util.AbstractList;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntUnaryOperator;

/** The different dates of a column, by code; the first is unused. */
public final class Dates extends AbstractList<DateRange> {
    private final int[] firsts;
    private final int[] lasts;

    Dates(int[] firsts, int[] lasts) {
        this.firsts = firsts;
        this.lasts = lasts;
    }

    Dates(List<DateRange> dates) {
        this.firsts = dates.stream().mapToInt(DateRange::first).toArray();
        this.lasts = dates.stream().mapToInt(DateRange::last).toArray();
    }

    /** The first day of the date with this code. */
    public int first(int code) {
        return firsts[code];
    }

    /** The last day of the date with this code. */
    public int last(int code) {
        return lasts[code];
    }

    /** Rows by exact day, in the order of days; after them those whose date is not one day. */
    Groups byExactDay(IntUnaryOperator codeOfRow) {
        int[] days = stream()
                .filter(DateRange::isExact)
                .mapToInt(DateRange::first)
                .sorted()
                .toArray();
        int[] groupOfCode = stream()
                .mapToInt(date -> date.isExact() ? Arrays.binarySearch(days, date.first()) : days.length)
                .toArray();
        return new Groups(days.length + 1, row -> groupOfCode[codeOfRow.applyAsInt(row)]);
    }

    int[] firsts() {
        return firsts;
    }

    int[] lasts() {
        return lasts;
    }

    @Override
    public DateRange get(int code) {
        return new DateRange(firsts[code], lasts[code]);
    }

    @Override
    public int size() {
        return firsts.length;
    }
}
