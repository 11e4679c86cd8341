package dipstick.core.typed;

import java.util.List;
import tools.jackson.databind.node.ObjectNode;

/**
 * Reads one criterion's test as it is typed, and says what may be typed next. What
 * {@link dipstick.core.wording.SentencePrinter} prints reads back as the same test.
 */
public final class TypedCriteria {
    private TypedCriteria() {}

    /**
     * @return the test as it stands in a document
     * @throws Mistake with the spot and what was expected there
     */
    public static ObjectNode read(String typed, Vocabulary vocabulary) throws Mistake {
        return read(typed, vocabulary, (_, tests) -> tests.test());
    }

    /**
     * Reads when somebody is in a band.
     *
     * @return the {@code when} as it stands in a document
     * @throws Mistake with the spot and what was expected there
     */
    public static ObjectNode readBand(String typed, Vocabulary vocabulary) throws Mistake {
        return read(typed, vocabulary, (cursor, tests) -> new BandParser(cursor, tests).when());
    }

    /** What may stand at the end of {@code typed}, or may end what stands there; each once. */
    public static List<Expected> next(String typed, Vocabulary vocabulary) {
        return next(typed, vocabulary, (_, tests) -> tests.test());
    }

    /** The same of a band. */
    public static List<Expected> nextOfBand(String typed, Vocabulary vocabulary) {
        return next(typed, vocabulary, (cursor, tests) -> new BandParser(cursor, tests).when());
    }

    private interface Sentence {
        ObjectNode read(Cursor cursor, TestParser tests) throws Mistake;
    }

    private static ObjectNode read(String typed, Vocabulary vocabulary, Sentence sentence) throws Mistake {
        Cursor cursor = new Cursor(typed);
        ObjectNode read = sentence.read(cursor, new TestParser(cursor, vocabulary));
        if (!cursor.atEnd()) {
            throw cursor.stuck();
        }
        return read;
    }

    private static List<Expected> next(String typed, Vocabulary vocabulary, Sentence sentence) {
        Cursor cursor = new Cursor(typed);
        try {
            sentence.read(cursor, new TestParser(cursor, vocabulary));
        } catch (Mistake unfinished) {
            // What was typed so far need not be a whole criterion; what might come next has been gathered on the way.
        }
        return cursor.expected().stream()
                .filter(one -> one.words().isEmpty() || cursor.isBegun(one.from(), one.words()))
                .distinct()
                .toList();
    }
}
