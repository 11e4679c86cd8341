package dipstick.server.records;

import java.util.HashSet;
import java.util.Set;

/**
 * What bringing rows in changed.
 *
 * @param goneRows people who are not on file any more
 * @param people whose own records or events are others now, by id
 */
record Changes(int newRows, int changedRows, int unchangedRows, int goneRows, Set<String> people) {
    static final Changes NONE = new Changes(0, 0, 0, 0, Set.of());

    /** Adds up what one chunk after another changed. */
    static final class Sum {
        private int newRows;
        private int changedRows;
        private int unchangedRows;
        private int goneRows;
        private final Set<String> people = new HashSet<>();

        void add(Changes more) {
            newRows += more.newRows;
            changedRows += more.changedRows;
            unchangedRows += more.unchangedRows;
            goneRows += more.goneRows;
            people.addAll(more.people);
        }

        Changes whole() {
            return new Changes(newRows, changedRows, unchangedRows, goneRows, Set.copyOf(people));
        }
    }
}
