package dipstick.core.doubts;

/**
 * Something about a criterion that is valid but may not be meant.
 *
 * @param criterion its id
 * @param message a sentence for a person
 * @param subject what it is about besides the criterion: the id of a term set or of another criterion; else empty
 */
public record Doubt(String criterion, Kind kind, String message, String subject) {
    public enum Kind {
        /** Nobody falls at it. */
        REMOVES_NOBODY,
        /** Nobody is left after it. */
        REMOVES_EVERYBODY,
        /** The records do not say of more than a tenth of those left. */
        MANY_UNSURE,
        /** A term set, or a member of one, that matches no record. */
        UNUSED_TERMS,
        /** A window that begins before the records do. */
        BEFORE_RECORDS,
        /** A sequence that may still be completed in time. */
        STILL_WAITING,
        /** A value that no record has or comes near. */
        OUTSIDE_RECORDS,
        /** Values that are compared although their units differ. */
        MIXED_UNITS,
        /** The same test as another criterion. */
        SAME_AS_ANOTHER,
        /** Nobody can meet it and another one. */
        NOBODY_MEETS_BOTH,
        /** What should be on record says a lack, so that whoever has it is listed. */
        SAYS_A_LACK
    }

    static Doubt of(String criterion, Kind kind, String message) {
        return new Doubt(criterion, kind, message, "");
    }
}
