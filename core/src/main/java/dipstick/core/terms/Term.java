package dipstick.core.terms;

/**
 * A code, wording or keyword of the records, as it is written there.
 *
 * @param system of a code; empty where it has none, and for wordings and keywords
 */
public record Term(Sort sort, String term, String system) {
    /** What of a record it is. */
    public enum Sort {
        CODE,
        TEXT,
        KEYWORD
    }
}
