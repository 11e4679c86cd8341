package dipstick.intake.describe;

/** How long what an intake names, and what it makes of a row, may be, in characters. */
public final class Lengths {
    /** A number of a person or of a record, a further one too. */
    public static final int NUMBER = 400;

    public static final int FIELD_NAME = 200;

    public static final int SOURCE = 200;

    /** All texts of a person or of a record together. */
    public static final int RECORD = 100_000;

    private Lengths() {}
}
