package dipstick.server.records;

import java.util.HashSet;
import java.util.Set;

/**
 * What bringing rows in changed.
 *
 * @param goneRows people who are not on file any more
 * @param people whose own records or events are others now, by id
 * @param told what is told of them besides
 *
 */
record Changes(int newRows, int changedRows, int unchangedRows, int goneRows, Set<String> people, Told told) {
    static Changes gone(int rows, Set<String> people) {
        return new Changes(0, 0, 0, rows, people, Told.NOTHING);
    }

    /** Adds up what one chunk after another changed. */
    static final class Sum {
        private int newRows;
        private int changedRows;
        private int unchangedRows;
        private int goneRows;
        private final Set<String> people = new HashSet<>();
        private final Told.Sum told = new Told.Sum();

        void add(Changes more) {
            newRows += more.newRows;
            changedRows += more.changedRows;
            unchangedRows += more.unchangedRows;
            goneRows += more.goneRows;
            people.addAll(more.people);
            told.add(more.told);
        }

        Changes whole() {
            return new Changes(newRows, changedRows, unchangedRows, goneRows, Set.copyOf(people), told.whole());
        }
    }
}
