package dipstick.core.changes;

/**
 * Why somebody's place on a list is another one than at the reading before.
 *
 * @param words one plain sentence
 */
public record Change(Cause cause, String words) {
    /** What made the difference last. */
    public enum Cause {
        /** The criteria say otherwise. */
        CRITERIA,
        /** Time went by: an age was reached, a lookback ran out. */
        TIME,
        /** What should be on record came to be so. */
        DONE,
        /** Something on record exempts. */
        EXEMPT,
        /** They died. */
        DIED,
        /** Other records came, or were corrected. */
        RECORDS
    }
}
