package dipstick.core.parts;

/** A file that is no question; the message says why, for whoever opened it. */
public final class InvalidQuestion extends Exception {
    private static final long serialVersionUID = 1L;

    InvalidQuestion(String why) {
        super(why);
    }

    public String why() {
        return String.valueOf(getMessage());
    }
}
