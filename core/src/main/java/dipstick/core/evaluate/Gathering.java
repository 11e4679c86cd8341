package dipstick.core.evaluate;

import dipstick.core.population.Events;
import java.util.function.IntPredicate;

/** The events of a range of people that match a selection, sorted by person. */
final class Gathering {
    private final PeopleRange people;
    private final int[] starts;
    private final int[] marked;
    private final boolean allCertain;

    private Gathering(PeopleRange people, int[] starts, int[] marked, boolean allCertain) {
        this.people = people;
        this.allCertain = allCertain;
        this.starts = starts;
        this.marked = marked;
    }

    static Gathering of(EventMatcher matcher, PeopleRange people) {
        return sorted(MatchedRows.of(matcher, people), people, matcher.events());
    }

    /** Only the events of those of the range for whom {@code who} holds. */
    static Gathering of(EventMatcher matcher, PeopleRange people, IntPredicate who) {
        Events events = matcher.events();
        MatchedRows rows = new MatchedRows();
        matcher.forEachRow(people, (marked, count) -> {
            int kept = 0;
            for (int i = 0; i < count; i++) {
                if (who.test(events.owner(Matches.unmarked(marked[i])))) {
                    marked[kept++] = marked[i];
                }
            }
            rows.rows(marked, kept);
        });
        return sorted(rows, people, events);
    }

    private static Gathering sorted(MatchedRows rows, PeopleRange people, Events events) {
        int[] starts = new int[people.size() + 1];
        boolean inOrder = true;
        boolean allCertain = true;
        int latest = people.first();
        for (int i = 0; i < rows.size(); i++) {
            int marked = rows.marked(i);
            int owner = events.owner(Matches.unmarked(marked));
            starts[owner - people.first() + 1]++;
            inOrder &= owner >= latest;
            allCertain &= marked >= 0;
            latest = owner;
        }
        for (int person = 1; person < starts.length; person++) {
            starts[person] += starts[person - 1];
        }
        // The rows of a single concept are.
        int[] sorted = inOrder ? rows.array() : inOrder(rows, starts, people, events);
        return new Gathering(people, starts, sorted, allCertain);
    }

    private static int[] inOrder(MatchedRows rows, int[] starts, PeopleRange people, Events events) {
        int[] next = starts.clone();
        int[] sorted = new int[rows.size()];
        for (int i = 0; i < rows.size(); i++) {
            int owner = events.owner(Matches.unmarked(rows.marked(i)));
            sorted[next[owner - people.first()]++] = rows.marked(i);
        }
        return sorted;
    }

    boolean isEmpty(int person) {
        int place = person - people.first();
        return starts[place] == starts[place + 1];
    }

    void show(int person, Matches matches) {
        int place = person - people.first();
        matches.show(marked, starts[place], starts[place + 1], allCertain);
    }
}
