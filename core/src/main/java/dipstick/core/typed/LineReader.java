package dipstick.core.typed;

import java.util.List;

/** Reads lines of a set's text one by one, so that a mistake in one leaves the others to be read. */
final class LineReader {
    private final Vocabulary known;
    private final List<Mistake> mistakes;

    LineReader(Vocabulary known, List<Mistake> mistakes) {
        this.known = known;
        this.mistakes = mistakes;
    }

    /** Reads what one line says, to its end. */
    interface Body {
        void read(Cursor cursor, TestParser parser) throws Mistake;
    }

    void read(Block.Line line, Body body) {
        Cursor cursor = new Cursor(line.text());
        try {
            body.read(cursor, new TestParser(cursor, known));
            if (!cursor.atEnd()) {
                throw cursor.stuck();
            }
        } catch (Mistake mistake) {
            mistakes.add(mistake.after(line.from()));
        }
    }
}
