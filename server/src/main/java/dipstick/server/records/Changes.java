package dipstick.server.records;

import java.util.HashSet;
import java.util.Set;

/**
 * What bringing rows in changed.
 *
 * @param people whose own records or events are others now, by id
 */
record Changes(int newRows, int changedRows, int unchangedRows, Set<String> people) {
    static final Changes NONE = new Changes(0, 0, 0, Set.of());

    /** Adds up what one chunk after another changed. */
    static final class Sum {
        private int newRows;
        private int changedRows;
        private int unchangedRows;
        private final Set<String> people = new HashSet<>();

        void add(Changes more) {
            newRows += more.newRows;
            changedRows += more.changedRows;
            unchangedRows += more.unchangedRows;
            people.addAll(more.people);
        }

        Changes whole() {
            return new Changes(newRows, changedRows, unchangedRows, Set.copyOf(people));
        }
    }
}
