package dipstick.core.evaluate;

import dipstick.core.criteria.Roster;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Rows of a roster of which the same places of the key are exact. They are looked up by those of these places that are
 * exact of a person, too: most people's whole key is, and one look tells that no row is theirs.
 */
final class RosterRows {
    private static final int NO_ROW = -1;

    private final List<Roster.Row> rows;
    private final List<RosterKey> keys;
    private final int exact;
    private final Map<Integer, Lookup> lookups = new ConcurrentHashMap<>();

    /** @param exact a bit for each place of the key */
    RosterRows(List<Roster.Row> rows, List<RosterKey> keys, int exact) {
        this.rows = List.copyOf(rows);
        this.keys = keys;
        this.exact = exact;
    }

    /** @param exactOfPerson the places that are exact of those who will be looked up */
    Lookup by(int exactOfPerson) {
        return lookups.computeIfAbsent(exact & exactOfPerson, Lookup::new);
    }

    /** The rows by the values at some places. */
    final class Lookup {
        private final int places;
        /** The first row of those with the same last bits of their hash, and after each row the next of them. */
        private final int[] first;

        private final int[] next;
        private final int[] hashes;

        private Lookup(int places) {
            this.places = places;
            this.first = new int[Integer.highestOneBit(Math.max(1, rows.size())) << 2];
            this.next = new int[rows.size()];
            this.hashes = new int[rows.size()];
            Arrays.fill(first, NO_ROW);
            for (int row = rows.size() - 1; row >= 0; row--) {
                OptionalInt hash = hashOf(rows.get(row));
                if (hash.isPresent()) {
                    int slot = hash.getAsInt() & (first.length - 1);
                    hashes[row] = hash.getAsInt();
                    next[row] = first[slot];
                    first[slot] = row;
                }
            }
        }

        /** Whether all of the key is exact on both sides, so that a row is the person's or is not. */
        boolean isWhole() {
            return places == (1 << keys.size()) - 1;
        }

        /** Nothing where nobody on record has one of its values, so that it is nobody's. */
        private OptionalInt hashOf(Roster.Row row) {
            int hash = 0;
            for (int place = 0; place < keys.size(); place++) {
                if ((places >> place & 1) == 1) {
                    OptionalInt number =
                            keys.get(place).numberOf(row.cells().get(place).orElseThrow());
                    if (number.isEmpty()) {
                        return number;
                    }
                    hash = mixed(hash, number.getAsInt());
                }
            }
            return OptionalInt.of(hash);
        }

        private int hashOf(long[] numbers) {
            int hash = 0;
            for (int place = 0; place < numbers.length; place++) {
                if ((places >> place & 1) == 1) {
                    hash = mixed(hash, (int) numbers[place]);
                }
            }
            return hash;
        }

        private static int mixed(int hash, int number) {
            int mixed = (hash ^ number) * 0x9E3779B1;
            return mixed ^ (mixed >>> 15);
        }

        /**
         * The first row that may be a person's; less than none where there is none.
         *
         * @param numbers what stands for their values
         */
        int first(long[] numbers) {
            int hash = hashOf(numbers);
            return sameOrLater(first[hash & (first.length - 1)], hash);
        }

        /** The one after it, likewise. */
        int after(int row) {
            return sameOrLater(next[row], hashes[row]);
        }

        private int sameOrLater(int row, int hash) {
            int at = row;
            while (at >= 0 && hashes[at] != hash) {
                at = next[at];
            }
            return at;
        }

        Roster.Row row(int number) {
            return rows.get(number);
        }
    }
}
