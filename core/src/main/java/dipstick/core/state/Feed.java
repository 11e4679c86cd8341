package dipstick.core.state;

import java.util.Optional;

/**
 * The records of one source and kind: how fresh they are beside how often they use to come.
 *
 * @param source empty where the records name none
 * @param undated how many of the records have no exact day
 * @param span their exact days up to today; nothing where there is none
 */
public record Feed(String source, String kind, int records, int undated, Optional<Span> span) {
    /** More than so many times what is usual is late, or a gap. */
    public static final int LONG = 4;

    private static final int FEWEST_DAYS_TO_TELL = 8;
    private static final int SHORTEST_GAP = 7;
    private static final int A_YEAR = 365;

    /**
     * All as days since 1970-01-01, or numbers of days.
     *
     * @param days how many different days have records
     * @param usual the time from one day with records to the next, which half of them do not exceed
     * @param gapFrom the last day before the longest time without records
     * @param gapTo the first day after it
     * @param today on which this is looked at
     */
    public record Span(int first, int last, int days, int usual, int gapFrom, int gapTo, int today) {
        /** Nothing came for much longer than usual, where there are enough days to know what that is. */
        public boolean late() {
            return isLong(today - last) && !ended();
        }

        /** Nothing came for more than a year: no more is to be waited for. */
        public boolean ended() {
            return today - last > A_YEAR;
        }

        /** Between two records there was nothing for much longer than usual. */
        public boolean gap() {
            return isLong(gapTo - gapFrom);
        }

        private boolean isLong(int time) {
            return days >= FEWEST_DAYS_TO_TELL && time >= SHORTEST_GAP && time > LONG * usual;
        }
    }
}
