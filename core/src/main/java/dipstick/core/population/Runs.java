package dipstick.core.population;

import dipstick.core.time.DateRange;
import java.util.Comparator;

/**
 * Where the rows of each concept lie. People are taken in blocks of {@value #PEOPLE} numbers, and the rows that a concept has
 * of a block are a run: those of an exact day first, day by day, then those of partial dates and the undated ones. On one
 * day they are in the order of their people, and of one person as they came. So the rows of some days are found by looking
 * at a few of them.
 */
public final class Runs {
    /** Few enough that what is counted for each of them stays in a core's cache. */
    public static final int PEOPLE = 1 << 13;

    /** A concept has no row of a block. */
    public static final int NONE = -1;

    private final Column.OfDate on;
    /** The first run of each concept, and the number of all runs. */
    private final int[] firstOfConcept;

    private final int[] blocks;
    private final int[] starts;
    private final int[] exactEnds;

    private Runs(Column.OfDate on, int[] firstOfConcept, int[] blocks, int[] starts, int[] exactEnds) {
        this.on = on;
        this.firstOfConcept = firstOfConcept;
        this.blocks = blocks;
        this.starts = starts;
        this.exactEnds = exactEnds;
    }

    /** @param owners the person of each row */
    static Runs of(Concepts concepts, int[] owners, Column.OfDate on) {
        int[] firstOfConcept = new int[concepts.count() + 1];
        GrowingInts blocks = new GrowingInts();
        GrowingInts starts = new GrowingInts();
        GrowingInts exactEnds = new GrowingInts();
        for (int concept = 0; concept < concepts.count(); concept++) {
            firstOfConcept[concept] = blocks.size();
            int start = concepts.start(concept);
            while (start < concepts.end(concept)) {
                int block = blockOf(owners[start]);
                int end = Search.first(start, concepts.end(concept), row -> blockOf(owners[row]) > block);
                blocks.add(block);
                starts.add(start);
                exactEnds.add(Search.first(start, end, row -> !on.isExact(row)));
                start = end;
            }
        }
        firstOfConcept[concepts.count()] = blocks.size();
        starts.add(owners.length);
        return new Runs(on, firstOfConcept, blocks.toArray(), starts.toArray(), exactEnds.toArray());
    }

    /**
     * Where a row stands among those of its concept.
     *
     * @param day where its date is one day; after all days where it is not
     */
    record Place(int block, int day, int person) implements Comparable<Place> {
        private static final Comparator<Place> IN_ORDER = Comparator.comparingInt(Place::block)
                .thenComparingInt(Place::day)
                .thenComparingInt(Place::person);

        static Place of(int row, int person, Column.OfDate on) {
            int day = on.isExact(row) ? on.days().first(on.codes().get(row)) : DateRange.OPEN_LAST;
            return new Place(blockOf(person), day, person);
        }

        @Override
        public int compareTo(Place other) {
            return IN_ORDER.compare(this, other);
        }
    }

    static int blockOf(int person) {
        return person / PEOPLE;
    }

    /** The run of a concept's rows of a block of people, or {@link #NONE}. */
    public int find(int concept, int block) {
        int first = firstOfConcept[concept];
        int end = firstOfConcept[concept + 1];
        // Most concepts have rows of every block.
        if (first + block < end && blocks[first + block] == block) {
            return first + block;
        }
        int run = Search.first(first, end, each -> blocks[each] >= block);
        return run < end && blocks[run] == block ? run : NONE;
    }

    public int start(int run) {
        return starts[run];
    }

    /** The row after the last one of an exact day. */
    public int exactEnd(int run) {
        return exactEnds[run];
    }

    /** The row after the last. */
    public int end(int run) {
        return starts[run + 1];
    }

    /** The first row of an exact day in a window; {@link #exactEnd} where there is none on it or after. */
    public int firstIn(int run, DateRange window) {
        return firstFrom(run, window.first());
    }

    /** The row after the last one of an exact day in a window. */
    public int endIn(int run, DateRange window) {
        return window.last() == DateRange.OPEN_LAST ? exactEnds[run] : firstFrom(run, window.last() + 1);
    }

    private int firstFrom(int run, int day) {
        int start = starts[run];
        int end = exactEnds[run];
        // Most windows are lookbacks, and what they hold lies near the end.
        return day == DateRange.OPEN_FIRST ? start : Search.firstNearEnd(start, end, row -> dayOf(row) >= day);
    }

    private int dayOf(int row) {
        return on.days().first(on.codes().get(row));
    }
}
