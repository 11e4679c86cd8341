package dipstick.core.population;

import dipstick.core.time.DateRange;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.stream.IntStream;

/**
 * People in the order of a date of theirs, so that those of some days are found by looking at few of them: who comes before
 * some places of the order is kept, and only from there on are people counted.
 */
public final class PeopleByDay {
    private static final int KEPT = 32;

    private final Column.OfDate dates;
    /** Those with an exact day, in the order of their days. */
    private final int[] people;

    private final int[] partial;
    private final BitSet missing = new BitSet();
    /** Who comes before each place that is a multiple of {@link #step}. */
    private final List<BitSet> before = new ArrayList<>();

    private final int step;

    PeopleByDay(Column.OfDate dates) {
        this.dates = dates;
        int[] sorted = dates.days()
                .byExactDay(dates.codes()::get)
                .sorted(IntStream.range(0, dates.codes().size()).toArray());
        int exact = Search.first(0, sorted.length, place -> !dates.isExact(sorted[place]));
        int[] others = Arrays.copyOfRange(sorted, exact, sorted.length);
        this.people = Arrays.copyOf(sorted, exact);
        this.partial =
                Arrays.stream(others).filter(person -> !dates.isMissing(person)).toArray();
        Arrays.stream(others).filter(dates::isMissing).forEach(missing::set);
        this.step = exact / KEPT + 1;
        BitSet passed = new BitSet(sorted.length);
        for (int place = 0; place <= exact; place++) {
            if (place % step == 0) {
                before.add((BitSet) passed.clone());
            }
            if (place < exact) {
                passed.set(people[place]);
            }
        }
    }

    /** Those whose date is known to be one of these days. */
    public BitSet on(DateRange days) {
        BitSet on = new BitSet();
        if (!days.isEmpty()) {
            on = before(firstFrom(days.last() + 1L));
            on.andNot(before(firstFrom(days.first())));
        }
        return on;
    }

    /** Those of whom only a stretch of days is known. */
    public int[] partial() {
        return partial.clone();
    }

    /** Those who have no such date. */
    public BitSet missing() {
        return (BitSet) missing.clone();
    }

    /** The first place whose day is this one or later. */
    private int firstFrom(long day) {
        return Search.first(
                0, people.length, place -> dates.days().first(dates.codes().get(people[place])) >= day);
    }

    private BitSet before(int place) {
        BitSet passed = (BitSet) before.get(place / step).clone();
        for (int each = place / step * step; each < place; each++) {
            passed.set(people[each]);
        }
        return passed;
    }
}
