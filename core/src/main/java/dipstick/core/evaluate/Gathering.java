package dipstick.core.evaluate;

import dipstick.core.population.Events;
import java.util.Arrays;
import java.util.function.IntPredicate;

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
        matcher.forEachRow(people, rows::add);
        return sorted(rows, people, events);
    }

    /** Only the events of those of the range for whom {@code who} holds. */
    static Gathering of(EventMatcher matcher, PeopleRange people, Events events, IntPredicate who) {
        Rows rows = new Rows();
        matcher.forEachRow(people, (marked, count) -> {
            int kept = 0;
            for (int i = 0; i < count; i++) {
                if (who.test(events.owner(Matches.unmarked(marked[i])))) {
                    marked[kept++] = marked[i];
                }
            }
            rows.add(marked, kept);
        });
        return sorted(rows, people, events);
    }

    private static Gathering sorted(Rows rows, PeopleRange people, Events events) {
        int[] places = new int[rows.size];
        int[] starts = new int[people.size() + 1];
        for (int i = 0; i < rows.size; i++) {
            places[i] = events.owner(Matches.unmarked(rows.marked[i])) - people.first();
            starts[places[i] + 1]++;
        }
        for (int person = 1; person < starts.length; person++) {
            starts[person] += starts[person - 1];
        }
        int[] next = starts.clone();
        int[] sorted = new int[rows.size];
        for (int i = 0; i < rows.size; i++) {
            sorted[next[places[i]]++] = rows.marked[i];
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
    private static final class Rows {
        private int[] marked = new int[1024];
        private int size;

        void add(int[] more, int count) {
            if (size + count > marked.length) {
                marked = Arrays.copyOf(marked, Math.max(2 * size, size + count));
            }
            System.arraycopy(more, 0, marked, size, count);
            size += count;
        }
    }
}
