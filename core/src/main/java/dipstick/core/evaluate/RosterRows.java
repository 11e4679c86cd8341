package dipstick.core.evaluate;

import dipstick.core.criteria.Roster;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;

/**
 * Rows of a roster of which the same places of the key are exact. They are looked up by those of these places that are
 * exact of a person, too: most people's whole key is, and one look tells that no row is theirs.
 */
final class RosterRows {
    private static final int NO_ROW = -1;

    private final List<Roster.Row> rows;
    private final int exact;
    /** By place of the key and row what stands for the value, where {@link #known} has a bit for the place. */
    private final int[][] numbers;

    /** By row a bit for each exact place whose value somebody on record has. */
    private final int[] known;

    private final Map<Integer, Lookup> lookups = new ConcurrentHashMap<>();

    /** @param exact a bit for each place of the key */
    RosterRows(List<Roster.Row> rows, List<RosterKey> keys, int exact) {
        this.rows = List.copyOf(rows);
        this.exact = exact;
        this.numbers = new int[keys.size()][rows.size()];
        this.known = new int[rows.size()];
        IntStream.range(0, rows.size()).parallel().forEach(row -> number(row, keys));
    }

    private void number(int row, List<RosterKey> keys) {
        for (int place = 0; place < keys.size(); place++) {
            if ((exact >> place & 1) == 1) {
                OptionalInt number = keys.get(place)
                        .numberOf(rows.get(row).cells().get(place).orElseThrow());
                numbers[place][row] = number.orElse(0);
                known[row] |= number.isPresent() ? 1 << place : 0;
            }
        }
    }

    /** What stands for the values at an exact place that somebody on record has. */
    IntStream numbersAt(int place) {
        return IntStream.range(0, rows.size())
                .filter(row -> (known[row] >> place & 1) == 1)
                .map(row -> numbers[place][row]);
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
                // With a value that nobody on record has it is nobody's.
                if ((places & ~known[row]) == 0) {
                    hashes[row] = hashOf(row);
                    int slot = hashes[row] & (first.length - 1);
                    next[row] = first[slot];
                    first[slot] = row;
                }
            }
        }

        /** Whether all of the key is exact on both sides, so that a row is the person's or is not. */
        boolean isWhole() {
            return places == (1 << numbers.length) - 1;
        }

        private int hashOf(int row) {
            int hash = 0;
            for (int place = 0; place < numbers.length; place++) {
                if ((places >> place & 1) == 1) {
                    hash = mixed(hash, numbers[place][row]);
                }
            }
            return hash;
        }

        private int hashOf(long[] ofPerson) {
            int hash = 0;
            for (int place = 0; place < ofPerson.length; place++) {
                if ((places >> place & 1) == 1) {
                    hash = mixed(hash, (int) ofPerson[place]);
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
         * @param ofPerson what stands for their values
         */
        int first(long[] ofPerson) {
            int hash = hashOf(ofPerson);
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
