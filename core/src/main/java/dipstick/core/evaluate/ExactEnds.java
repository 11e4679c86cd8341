package dipstick.core.evaluate;

import dipstick.core.criteria.Test.End;
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
        this.distances = new int[dates.count()];
        this.reaches = new int[dates.count()];
        for (int code = 0; code < distances.length; code++) {
            reaches[code] = end == End.LATEST ? dates.latestOf(code) : ~dates.earliestOf(code);
            distances[code] = dates.isExactCode(code) ? reaches[code] : INEXACT;
        }
    }

    OfRange ofRange(PeopleRange range) {
        int[] furthest = new int[range.size()];
        int[] possible = new int[range.size()];
        int[] ends = new int[range.size()];
        Arrays.fill(furthest, NONE_YET);
        Arrays.fill(possible, NONE_YET);
        Arrays.fill(ends, NO_EVENT);
        IntStream.Builder alike = IntStream.builder();
        matcher.forEachRow(range, (marked, count) -> {
            for (int i = 0; i < count; i++) {
                int event = Matches.unmarked(marked[i]);
                int place = matcher.events().owner(event) - range.first();
                int code = dates.code(event);
                int distance = distances[code];
                if (marked[i] < 0 || distance == INEXACT) {
                    possible[place] = Math.max(possible[place], reaches[code]);
                } else if (distance > furthest[place]) {
                    furthest[place] = distance;
                    ends[place] = event;
                } else if (distance == furthest[place]) {
                    alike.add(event);
                }
            }
        });
        BitSet others = new BitSet();
        for (int place = 0; place < possible.length; place++) {
            others.set(place, possible[place] != NONE_YET && possible[place] >= furthest[place]);
        }
        int[] atTheEnd = alike.build()
                .filter(event -> distances[dates.code(event)]
                        == furthest[matcher.events().owner(event) - range.first()])
                .toArray();
        return new OfRange(ends, atTheEnd, others);
    }
}
