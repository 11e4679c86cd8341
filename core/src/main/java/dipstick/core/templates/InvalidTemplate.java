package dipstick.core.templates;

/** A file that is no template; the message says why, for whoever opened it. */
public final class InvalidTemplate extends Exception {
    private static final long serialVersionUID = 1L;

    InvalidTemplate(String why) {
        super(why);
    }

    public String why() {
        return String.valueOf(getMessage());
    }
}
