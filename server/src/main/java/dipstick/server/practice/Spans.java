package dipstick.server.practice;

/**
 * How many days the figures of the pages look back or ahead. Pages say the same in words: they read {@code web/src/spans.json},
 * which is written from here.
 */
public final class Spans {
    /** Who came onto a list so lately, the day of today among them, has joined. */
    public static final int JOINED = 7;

    /** Who is done with on a list stands there for so long. */
    public static final int DONE = 60;

    /** Who comes in so soon is asked about ahead. */
    public static final int COMING_IN = 7;

    /** Attempts of so many days are a colleague's lately. */
    public static final int TRIED = 7;

    /** Attempts of so many days are a colleague's for a while. */
    public static final int TRIED_LONG = 28;

    private Spans() {}
}
