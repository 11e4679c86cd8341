package dipstick.core.evaluate;

import dipstick.core.criteria.Test.End;
import dipstick.core.population.Events;
import java.util.Arrays;
import java.util.BitSet;
import java.util.stream.IntStream;

/**
 * Finds the latest, or the earliest, matching events as the rows go by. Of those for whom they are certain and of an exact
 * day, and nothing else may be as late or as early, they are the {@link Candidates}: most people's are. The others are told
 * apart.
 */
final class ExactEnds {
    static final int NO_EVENT = -1;

    private static final int INEXACT = Integer.MIN_VALUE;
    private static final int NONE_YET = Integer.MIN_VALUE;

    private final EventMatcher matcher;
    private final EventDates dates;
    private final boolean isLatest;
    /** By the code of a date how far it is towards the end; {@link #INEXACT} where that is not one day. */
    private final int[] distances;
    /** By the code of a date how far it may be at most. */
    private final int[] reaches;

    /**
     * What is at the end of each of a range of people, by their places.
     *
     * @param events the first of those at the end; {@link #NO_EVENT} where nothing matches
     * @param alike the other events at the end of anybody
     * @param others who has a match at the end that is not certain, or not of an exact day; what is said here of them is void
     */
    record OfRange(int[] events, int[] alike, BitSet others) {}

    ExactEnds(End end, EventMatcher matcher, Seen seen) {
        this.matcher = matcher;
        this.dates = seen.dates();
        this.isLatest = end == End.LATEST;
        this.distances = new int[dates.count()];
        this.reaches = new int[dates.count()];
        for (int code = 0; code < distances.length; code++) {
            reaches[code] = end == End.LATEST ? dates.latestOf(code) : ~dates.earliestOf(code);
            distances[code] = dates.isExactCode(code) ? reaches[code] : INEXACT;
        }
    }

    OfRange ofRange(PeopleRange range) {
        Ends ends = new Ends(range);
        matcher.forEachRow(range, ends);
        return ends.found();
    }

    /** The events at the ends so far. */
    private final class Ends implements EventMatcher.RowSink {
        private final Events events = matcher.events();
        private final int firstPerson;
        private final int[] furthest;
        private final int[] possible;
        private final BitSet notExact = new BitSet();
        private final int[] ends;
        private final IntStream.Builder alike = IntStream.builder();

        Ends(PeopleRange range) {
            this.firstPerson = range.first();
            this.furthest = new int[range.size()];
            this.possible = new int[range.size()];
            this.ends = new int[range.size()];
            Arrays.fill(furthest, NONE_YET);
            Arrays.fill(possible, NONE_YET);
            Arrays.fill(ends, NO_EVENT);
        }

        @Override
        public void rows(int[] marked, int count) {
            for (int i = 0; i < count; i++) {
                int event = Matches.unmarked(marked[i]);
                add(event, events.owner(event) - firstPerson, marked[i] >= 0);
            }
        }

        /** Rows of an exact day come day by day, so the other way round most of them are not further than another. */
        @Override
        public void certain(int first, int end, int[] spare) {
            for (int i = first; i < end; i++) {
                int event = isLatest ? first + end - 1 - i : i;
                addExact(event, events.owner(event) - firstPerson, distances[dates.code(event)]);
            }
        }

        private void add(int event, int place, boolean certain) {
            int code = dates.code(event);
            if (certain && distances[code] != INEXACT) {
                addExact(event, place, distances[code]);
            } else {
                possible[place] = Math.max(possible[place], reaches[code]);
                notExact.set(place);
            }
        }

        private void addExact(int event, int place, int distance) {
            if (distance > furthest[place]) {
                furthest[place] = distance;
                ends[place] = event;
            } else if (distance == furthest[place]) {
                alike.add(event);
            }
        }

        OfRange found() {
            BitSet others = new BitSet();
            notExact.stream()
                    .filter(place -> possible[place] >= furthest[place])
                    .forEach(others::set);
            int[] atTheEnd = alike.build()
                    .filter(event -> distances[dates.code(event)] == furthest[events.owner(event) - firstPerson])
                    .toArray();
            return new OfRange(ends, atTheEnd, others);
        }
    }
}
