package dipstick.core.evaluate;

import java.util.List;
import java.util.stream.IntStream;

/** Gathers everybody's outcomes as of several days, a number for each person with a bit for each day. */
final class DayAnswers {
    static final int MOST_DAYS = Long.SIZE;

    private final int days;
    /** By day, a bit for each person, as in a bit set. */
    private final long[][] yes;

    private final long[][] unsure;

    DayAnswers(int people, int days) {
        int words = (people + Long.SIZE - 1) / Long.SIZE;
        this.days = days;
        this.yes = new long[days][words];
        this.unsure = new long[days][words];
    }

    OfRange of(PeopleRange range) {
        return new OfRange(range);
    }

    /** The outcomes of a range of people. Not for use by several threads. */
    final class OfRange {
        private final int firstWord;
        private final long[] yesOf;
        private final long[] unsureOf;

        private OfRange(PeopleRange range) {
            int words = (range.size() + Long.SIZE - 1) / Long.SIZE;
            this.firstWord = range.first() / Long.SIZE;
            this.yesOf = new long[words * Long.SIZE];
            this.unsureOf = new long[words * Long.SIZE];
        }

        /** @param place of the person in the range */
        void raise(int place, long yesDays, long unsureDays) {
            yesOf[place] |= yesDays;
            unsureOf[place] |= unsureDays;
        }

        void keep() {
            for (int first = 0; first < yesOf.length; first += Long.SIZE) {
                for (int person = first; person < first + Long.SIZE; person++) {
                    unsureOf[person] &= ~yesOf[person];
                }
                keep(yesOf, first, yes);
                keep(unsureOf, first, unsure);
            }
        }

        private void keep(long[] byPerson, int first, long[][] byDay) {
            long any = 0;
            for (int person = first; person < first + Long.SIZE; person++) {
                any |= byPerson[person];
            }
            if (any != 0) {
                turn(byPerson, first);
                for (int day = 0; day < days; day++) {
                    byDay[day][firstWord + first / Long.SIZE] = byPerson[first + day];
                }
            }
        }
    }

    /** Makes the rows of a square of bits its columns, by swapping halves, then halves of these, and so on. */
    private static void turn(long[] square, int from) {
        long mask = 0xFFFF_FFFFL;
        for (int size = Long.SIZE / 2; size > 0; size >>>= 1) {
            for (int row = 0; row < Long.SIZE; row = (row + size + 1) & ~size) {
                long swapped = ((square[from + row] >>> size) ^ square[from + row + size]) & mask;
                square[from + row] ^= swapped << size;
                square[from + row + size] ^= swapped;
            }
            mask ^= mask << (size >>> 1);
        }
    }

    List<Answer> seal() {
        return IntStream.range(0, days)
                .mapToObj(day -> Answer.of(yes[day], unsure[day]))
                .toList();
    }
}
