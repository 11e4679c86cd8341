package dipstick.core.evaluate;

import dipstick.core.criteria.Test.End;
import java.util.Arrays;
import java.util.BitSet;
import java.util.stream.IntStream;

/**
 * Finds the latest, or the earliest, matching events of those whose matches are all certain and of exact days, as the rows
 * go by: these are then the {@link Candidates}. Most people's are; the others are told apart.
 */
final class ExactEnds {
    private static final int INEXACT = Integer.MIN_VALUE;
    private static final int NONE_YET = Integer.MIN_VALUE + 1;

    private final EventMatcher matcher;
    private final EventDates dates;
    /** By the code of a date how far it is towards the end. */
    private final int[] distances;

    /**
     * What is at the end of each of a range of people, by their places.
     *
     * @param events the first of those at the end; {@link #NO_EVENT} where nothing matches
     * @param alike the other events at the end of anybody
     * @param others who has a match that is not certain, or not of an exact day; what is said here of them is void
     */
    record OfRange(int[] events, IntStream alike, BitSet others) {}

    static final int NO_EVENT = -1;

    ExactEnds(End end, EventMatcher matcher, Seen seen) {
        this.matcher = matcher;
        this.dates = seen.dates();
        this.distances = new int[dates.count()];
        for (int code = 0; code < distances.length; code++) {
            int day = dates.firstOf(code);
            boolean exact = dates.isExactCode(code);
            distances[code] = !exact ? INEXACT : end == End.LATEST ? day : -day;
        }
    }

    OfRange ofRange(PeopleRange range) {
        int[] furthest = new int[range.size()];
        int[] ends = new int[range.size()];
        Arrays.fill(furthest, NONE_YET);
        Arrays.fill(ends, NO_EVENT);
        IntStream.Builder alike = IntStream.builder();
        BitSet others = new BitSet();
        matcher.forEachRow(range, (marked, count) -> {
            for (int i = 0; i < count; i++) {
                int event = Matches.unmarked(marked[i]);
                int place = matcher.events().owner(event) - range.first();
                int distance = distances[dates.code(event)];
                if (marked[i] < 0 || distance == INEXACT) {
                    others.set(place);
                } else if (distance > furthest[place]) {
                    furthest[place] = distance;
                    ends[place] = event;
                } else if (distance == furthest[place]) {
                    alike.add(event);
                }
            }
        });
        IntStream atTheEnd = alike.build()
                .filter(event -> distances[dates.code(event)]
                        == furthest[matcher.events().owner(event) - range.first()]);
        return new OfRange(ends, atTheEnd, others);
    }
}
