package dipstick.core.criteria;

import java.util.Set;

/** What a list shows of somebody, or is ordered by (criteria.md section 4, {@code show} and {@code order}). */
public sealed interface ListColumn {
    /** What a list knows of somebody besides the person's own fields. */
    Set<String> OF_LIST = Set.of("due_on", "band", "state");

    /** A field of people, or {@code due_on}, {@code band} or {@code state}. */
    record Named(String name) implements ListColumn {}

    /**
     * What a criterion finds among somebody's records.
     *
     * @param test the criterion's
     */
    record OfCriterion(Criterion criterion, Test.Events test, Figure figure) implements ListColumn {}

    /** What is said of the records that a criterion matches for certain. */
    enum Figure {
        /** How many there are, by what the criterion counts. */
        COUNT("count"),
        /** The last day of the latest dated one. */
        LATEST("latest"),
        /** The first day of the earliest dated one. */
        EARLIEST("earliest"),
        /** The value of the latest one, with its unit. */
        VALUE("value"),
        /** The days from the latest one to the as-of date. */
        DAYS_SINCE("daysSince");

        private final String word;

        Figure(String word) {
            this.word = word;
        }

        /** As the document writes it. */
        public String word() {
            return word;
        }
    }
}
