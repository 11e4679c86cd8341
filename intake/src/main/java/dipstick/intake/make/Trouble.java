package dipstick.intake.make;

/**
 * What is wrong with a row, or a cell of it; what would have been made of it is left out.
 *
 * @param column as the file names it; empty where the whole row is meant
 * @param cell as it was written
 * @param said a sentence for a person
 */
public record Trouble(long line, String column, Reason reason, String cell, String said) {
    /** Troubles of one reason are mended in one way. */
    public enum Reason {
        NO_DATE,
        DATE_EITHER_WAY,
        NO_NUMBER,
        NO_FLAG,
        WORD_UNKNOWN,
        BROKEN_CELL,
        NOT_DECODED,
        /** Where a row should be is something that is none. */
        NO_ROW,
        NO_PERSON,
        PERSON_NOT_FOUND,
        PERSON_FOUND_TWICE,
        NO_KIND,
        OTHER_CELLS,
        PERSON_DIFFERS,
        ID_TWICE,
        TOO_LONG,
        /** Nothing of this kind is read; no row is lost that could be. */
        PASSED_OVER,
        /** A cell that cannot be read says nothing; the rest of its row is kept. */
        LEFT_BLANK;

        /** Whether something is left out that the file means to say of somebody. */
        public boolean losesRow() {
            return this != PASSED_OVER && this != LEFT_BLANK;
        }
    }
}
