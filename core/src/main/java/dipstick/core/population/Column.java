package dipstick.core.population;

import dipstick.core.records.Coding;
import java.util.List;
import java.util.Map;

/**
 * One field of all people or all events: a code for each row, and the values that the codes stand for. What is asked
 * of a column is asked once of each value and then looked up for each row.
 */
public sealed interface Column {
    Codes codes();

    /** One more than the highest code; code 0 is missing. */
    int codeCount();

    default boolean isMissing(int row) {
        return codes().get(row) == Codes.MISSING;
    }

    /**
     * @param compared by code, as it is compared: normalised, or trimmed for an identifier
     * @param written by code, in the spelling that is most frequent
     * @param codeOf by the text as it is compared; empty where every row has a text of its own
     */
    record OfText(Codes codes, List<String> compared, List<String> written, Map<String, Integer> codeOf)
            implements Column {
        @Override
        public int codeCount() {
            return compared.size();
        }

        /** The text of a row as it is mostly written; empty where it is missing. */
        public String writtenAt(int row) {
            return written.get(codes.get(row));
        }
    }

    /** @param numbers by code; the first is unused */
    record OfNumber(Codes codes, List<Double> numbers) implements Column {
        @Override
        public int codeCount() {
            return numbers.size();
        }
    }

    /** @param days by code; the first is unused */
    record OfDate(Codes codes, Dates days) implements Column {
        @Override
        public int codeCount() {
            return days.size();
        }

        /** Whether it is known to be one day. */
        boolean isExact(int row) {
            int code = codes.get(row);
            return code != Codes.MISSING && days.first(code) == days.last(code);
        }
    }

    /** Code 1 is false, code 2 is true. */
    record OfFlag(Codes codes) implements Column {
        public static final int FALSE = 1;
        public static final int TRUE = 2;

        @Override
        public int codeCount() {
            return 3;
        }
    }

    /**
     * Several texts in each row, such as keywords.
     *
     * @param sets by code: the words of one row, as places in {@code words}
     * @param words as they are compared
     */
    record OfTexts(Codes codes, List<List<Integer>> sets, List<String> words) implements Column {
        @Override
        public int codeCount() {
            return sets.size();
        }
    }

    /**
     * Further codes of each row.
     *
     * @param sets by code: the codings of one row, as they are written; the first is empty
     */
    record OfCodings(Codes codes, List<List<Coding>> sets) implements Column {
        @Override
        public int codeCount() {
            return sets.size();
        }

        public List<Coding> at(int row) {
            return sets.get(codes.get(row));
        }
    }
}
