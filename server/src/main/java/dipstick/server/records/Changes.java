package dipstick.server.records;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * What bringing rows in changed.
 *
 * @param goneRows people who are not on file any more
 * @param people whose own records or events are others now, by id
 * @param otherwise how much is said otherwise than another source brought it, which stays
 * @param firstOtherwise some of it
 */
record Changes(
        int newRows,
        int changedRows,
        int unchangedRows,
        int goneRows,
        Set<String> people,
        int otherwise,
        List<Otherwise> firstOtherwise) {
    private static final int MOST_TOLD = 12;

    Changes {
        firstOtherwise = firstOtherwise.stream().limit(MOST_TOLD).toList();
    }

    static Changes gone(int rows, Set<String> people) {
        return new Changes(0, 0, 0, rows, people, 0, List.of());
    }

    /** Adds up what one chunk after another changed. */
    static final class Sum {
        private int newRows;
        private int changedRows;
        private int unchangedRows;
        private int goneRows;
        private final Set<String> people = new HashSet<>();
        private int otherwise;
        private final List<Otherwise> firstOtherwise = new ArrayList<>();

        void add(Changes more) {
            newRows += more.newRows;
            changedRows += more.changedRows;
            unchangedRows += more.unchangedRows;
            goneRows += more.goneRows;
            people.addAll(more.people);
            otherwise += more.otherwise;
            if (firstOtherwise.size() < MOST_TOLD) {
                firstOtherwise.addAll(more.firstOtherwise);
            }
        }

        Changes whole() {
            return new Changes(
                    newRows, changedRows, unchangedRows, goneRows, Set.copyOf(people), otherwise, firstOtherwise);
        }
    }
}
