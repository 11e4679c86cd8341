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
        Cursor cursor = new Cursor(typed);
        ObjectNode test = new TestParser(cursor, vocabulary).test();
        if (!cursor.atEnd()) {
            throw cursor.stuck();
        }
        return test;
    }

    /** What may stand at the end of {@code typed}, or may end what stands there; each once. */
    public static List<Expected> next(String typed, Vocabulary vocabulary) {
        Cursor cursor = new Cursor(typed);
        TestParser parser = new TestParser(cursor, vocabulary);
        try {
            parser.test();
        } catch (Mistake unfinished) {
            // What was typed so far need not be a whole criterion; what might come next has been gathered on the way.
        }
        return cursor.expected().stream()
                .filter(one -> one.words().isEmpty() || cursor.isBegun(one.from(), one.words()))
                .distinct()
                .toList();
    }
}
