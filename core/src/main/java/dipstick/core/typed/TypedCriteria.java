package dipstick.core.typed;

import dipstick.core.typed.plain.Lines;
import dipstick.core.typed.plain.Mends;
import java.util.List;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import tools.jackson.databind.node.ObjectNode;

/**
 * Reads one criterion's test as it is typed, and says what may be typed next. What
 * {@link dipstick.core.wording.SentencePrinter} prints reads back as the same test.
 */
public final class TypedCriteria {
    private static final Pattern RECORDED =
            Pattern.compile("(?i)\\brecorded (?=in |since |between |from |up to |today|yesterday|at any )");

    /** Longer lines are read only in the words of the sheet. */
    private static final int LONGEST_SAID = 400;

    private TypedCriteria() {}

    /**
     * @return the test as it stands in a document
     * @throws Mistake with the spot and what was expected there
     */
    public static ObjectNode read(String typed, Vocabulary vocabulary) throws Mistake {
        return read(typed, vocabulary, (_, tests) -> tests.test());
    }

    /**
     * What a line may mean, in the words that sentences print: itself where it can be read, else all that people may mean who
     * say it so; nothing where it is not understood.
     */
    public static List<String> meanings(String typed, Vocabulary vocabulary) {
        return meanings(typed, vocabulary, isRead(vocabulary));
    }

    /** The same of a band. */
    public static List<String> meaningsOfBand(String typed, Vocabulary vocabulary) {
        return meanings(typed, vocabulary, line -> isRead(() -> readBand(line, vocabulary)));
    }

    private static List<String> meanings(String typed, Vocabulary vocabulary, Predicate<String> isRead) {
        if (!isRead.test(typed)) {
            if (typed.length() > LONGEST_SAID) {
                return List.of();
            }
            return new Lines(vocabulary, isRead).meanings(typed);
        }
        // “Recorded in the last week” may mean when it was entered, or when it happened.
        String happened = RECORDED.matcher(typed).replaceFirst("");
        return happened.equals(typed) || !isRead.test(happened) ? List.of(typed) : List.of(typed, happened);
    }

    /** What is offered instead of a line that is not understood. */
    public static Mends mends(String typed, Vocabulary vocabulary) {
        return typed.length() > LONGEST_SAID
                ? Mends.NOTHING
                : Mends.of(typed, new Lines(vocabulary, isRead(vocabulary)));
    }

    private static Predicate<String> isRead(Vocabulary vocabulary) {
        return line -> isRead(() -> read(line, vocabulary));
    }

    private interface Reading {
        ObjectNode read() throws Mistake;
    }

    private static boolean isRead(Reading reading) {
        try {
            reading.read();
            return true;
        } catch (Mistake notUnderstood) {
            return false;
        }
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
