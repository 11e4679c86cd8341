package dipstick.core.typed;

/** What was typed cannot be read: where that begins and ends, in characters, and what would be right. */
public final class Mistake extends Exception {
    private static final long serialVersionUID = 1L;

    private final int from;
    private final int to;

    Mistake(int from, int to, String message) {
        super(message, null, false, false);
        this.from = from;
        this.to = to;
    }

    public int from() {
        return from;
    }

    public int to() {
        return to;
    }

    /** The same mistake in a text that has {@code before} characters in front. */
    Mistake after(int before) {
        return new Mistake(from + before, to + before, said());
    }

    /** What is wrong, for people. */
    public String said() {
        return String.valueOf(getMessage());
    }
}
