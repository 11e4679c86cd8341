package dipstick.core.population;

import dipstick.core.time.DateRange;
import java.util.Arrays;
import java.util.BitSet;
import java.util.stream.IntStream;

/** What the records of each concept have in common: since when there are any, their values and units. */
public final class ConceptFacts {
    /** No dated record. */
    public static final int NO_DAY = Integer.MAX_VALUE;

    private final int[] firstDays;
    private final double[] lowest;
    private final double[] highest;
    private final BitSet[] units;

    private ConceptFacts(int concepts) {
        this.firstDays = new int[concepts];
        this.lowest = new double[concepts];
        this.highest = new double[concepts];
        this.units = new BitSet[concepts];
        Arrays.fill(firstDays, NO_DAY);
        Arrays.fill(lowest, Double.POSITIVE_INFINITY);
        Arrays.fill(highest, Double.NEGATIVE_INFINITY);
        Arrays.setAll(units, _ -> new BitSet());
    }

    static ConceptFacts of(Events events) {
        ConceptFacts facts = new ConceptFacts(events.concepts().count());
        IntStream.range(0, events.concepts().count()).parallel().forEach(concept -> facts.gather(concept, events));
        return facts;
    }

    private void gather(int concept, Events events) {
        Column.OfDate on = events.on();
        Column.OfNumber value = events.value();
        Codes unit = events.unit().codes();
        for (int row = events.concepts().start(concept); row < events.concepts().end(concept); row++) {
            int day = on.codes().get(row);
            if (day != Codes.MISSING && on.days().first(day) != DateRange.OPEN_FIRST) {
                firstDays[concept] = Math.min(firstDays[concept], on.days().first(day));
            }
            int number = value.codes().get(row);
            if (number != Codes.MISSING) {
                lowest[concept] = Math.min(lowest[concept], value.numbers().get(number));
                highest[concept] = Math.max(highest[concept], value.numbers().get(number));
                units[concept].set(unit.get(row));
            }
        }
    }

    /** The first day of the earliest record of any of these concepts, or {@link #NO_DAY}. */
    public int firstDay(int[] concepts) {
        return Arrays.stream(concepts).map(concept -> firstDays[concept]).min().orElse(NO_DAY);
    }

    /** The lowest value on record; infinite where there is none. */
    public double lowest(int[] concepts) {
        return Arrays.stream(concepts)
                .mapToDouble(concept -> lowest[concept])
                .min()
                .orElse(Double.POSITIVE_INFINITY);
    }

    /** The highest value on record; negatively infinite where there is none. */
    public double highest(int[] concepts) {
        return Arrays.stream(concepts)
                .mapToDouble(concept -> highest[concept])
                .max()
                .orElse(Double.NEGATIVE_INFINITY);
    }

    /** The codes, in {@link Events#unit()}, of the units of records with a value; a missing one too. */
    public BitSet units(int[] concepts) {
        BitSet all = new BitSet();
        Arrays.stream(concepts).forEach(concept -> all.or(units[concept]));
        return all;
    }
}
