package dipstick.intake.rows;

/** A file, or the rest of one, that cannot be read as rows; says why to a person. */
public final class UnreadableRows extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final long line;

    /** @param line where it begins to be unreadable, counted from 1 */
    public UnreadableRows(long line, String reason) {
        super(reason);
        this.line = line;
    }

    public long line() {
        return line;
    }

    /** Why, and in which line where it is not the first. */
    public String reasonAndLine() {
        return getMessage() + (line > 1 ? " (line " + line + ")" : "");
    }
}
