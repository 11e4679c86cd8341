package dipstick.intake.fhir;

import java.io.IOException;
import java.io.Reader;

/**
 * A text that is handed on line by line, never more than one at once: where what reads it stumbles, nothing of the lines after is
 * lost in its hands, and another reader can go on with them. A text of which a part is no line is handed on in large pieces from
 * then on, which is faster.
 */
final class Lines extends Reader {
    private static final int SIZE = 1 << 16;

    private final Reader text;
    private final char[] buffer = new char[SIZE];
    private int next;
    private int end;
    /** Where what was handed on last begins. */
    private int given;

    private boolean byLine = true;
    private boolean givenBeginsLine;
    private boolean nextBeginsLine = true;
    private long line;
    private long lastBlank;

    Lines(Reader text) {
        this.text = text;
    }

    /** That which was handed on last, counted from 1, as long as lines are. */
    long line() {
        return line;
    }

    /** The last line that says nothing; 0 where there was none. */
    long lastBlank() {
        return lastBlank;
    }

    /** Whether what was handed on last begins its line, with a brace and more: so begins a resource that is a line of its own. */
    boolean beginsLineOfItsOwn() {
        return byLine && givenBeginsLine && buffer[given] == '{' && !isBlank(given + 1, next);
    }

    private boolean isBlank(int from, int to) {
        int at = from;
        while (at < to && Character.isWhitespace(buffer[at])) {
            at++;
        }
        return at == to;
    }

    @Override
    public int read(char[] into, int at, int length) throws IOException {
        if (next == end && !fill()) {
            return -1;
        }
        int most = Math.min(end, next + length);
        if (byLine) {
            lineUpTo(most);
        } else {
            given = next;
            next = most;
        }
        System.arraycopy(buffer, given, into, at, next - given);
        return next - given;
    }

    private void lineUpTo(int most) {
        given = next;
        givenBeginsLine = nextBeginsLine;
        line += givenBeginsLine ? 1 : 0;
        while (next < most && buffer[next] != '\n') {
            next++;
        }
        nextBeginsLine = next < most;
        next += nextBeginsLine ? 1 : 0;
        if (givenBeginsLine && nextBeginsLine && isBlank(given, next)) {
            lastBlank = line;
        }
    }

    /** Hands on large pieces from now on. */
    void noLines() {
        byLine = false;
    }

    /** Hands on anew what was handed on last. */
    void giveAgain() {
        next = given;
        nextBeginsLine = givenBeginsLine;
        line -= givenBeginsLine ? 1 : 0;
    }

    /** Leaves the rest of the line out; whether the next one is a resource. */
    boolean goOnAfterLine() throws IOException {
        char[] rest = new char[SIZE];
        while (!nextBeginsLine) {
            if (read(rest, 0, SIZE) < 0) {
                return false;
            }
        }
        if (read(rest, 0, SIZE) < 0) {
            return false;
        }
        boolean isResource = beginsLineOfItsOwn();
        giveAgain();
        return isResource;
    }

    private boolean fill() throws IOException {
        int read = text.read(buffer, 0, SIZE);
        if (read <= 0) {
            return false;
        }
        next = 0;
        end = read;
        return true;
    }

    @Override
    public void close() throws IOException {
        text.close();
    }
}
