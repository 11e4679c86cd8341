package dipstick.core.evaluate;

import dipstick.core.population.Events;
import java.util.Arrays;
import java.util.BitSet;

/** The events of a range of people that match a selection, sorted by person. */
final class Gathering {
    private final PeopleRange people;
    private final int[] starts;
    private final int[] marked;

    private Gathering(PeopleRange people, int[] starts, int[] marked) {
        this.people = people;
        this.starts = starts;
        this.marked = marked;
    }

    static Gathering of(EventMatcher matcher, PeopleRange people, Events events) {
        Rows rows = new Rows();
        matcher.forEachRow(people, rows);
        return sorted(rows, people, events);
    }

    /** Only the events of those of the range who are in {@code who}. */
    static Gathering of(EventMatcher matcher, PeopleRange people, Events events, BitSet who) {
        Rows rows = new Rows();
        matcher.forEachRow(people, (row, rank) -> {
            if (who.get(events.owner(row))) {
                rows.row(row, rank);
            }
        });
        return sorted(rows, people, events);
    }

    private static Gathering sorted(Rows rows, PeopleRange people, Events events) {
        int[] starts = new int[people.size() + 1];
        for (int i = 0; i < rows.size; i++) {
            starts[rows.owner(i, events) - people.first() + 1]++;
        }
        for (int person = 1; person < starts.length; person++) {
            starts[person] += starts[person - 1];
        }
        int[] next = starts.clone();
        int[] sorted = new int[rows.size];
        for (int i = 0; i < rows.size; i++) {
            sorted[next[rows.owner(i, events) - people.first()]++] = rows.marked[i];
        }
        return new Gathering(people, starts, sorted);
    }

    boolean isEmpty(int person) {
        int place = person - people.first();
        return starts[place] == starts[place + 1];
    }

    void show(int person, Matches matches) {
        int place = person - people.first();
        matches.show(marked, starts[place], starts[place + 1]);
    }

    /** Matching rows in the order of their concepts. */
    private static final class Rows implements EventMatcher.RowSink {
        private int[] marked = new int[1024];
        private int size;

        @Override
        public void row(int row, int rank) {
            if (size == marked.length) {
                marked = Arrays.copyOf(marked, 2 * size);
            }
            marked[size++] = Matches.marked(row, rank);
        }

        int owner(int place, Events events) {
            int event = marked[place];
            return events.owner(event >= 0 ? event : ~event);
        }
    }
}
