package dipstick.server.upkeep;

/** Why the server does not start, or a command does not go through: a sentence for who started it. */
public final class CannotStart extends RuntimeException {
    private static final long serialVersionUID = 1L;

    CannotStart(String sentence) {
        super(sentence);
    }

    CannotStart(String sentence, Throwable cause) {
        super(sentence, cause);
    }

    public String sentence() {
        return String.valueOf(getMessage());
    }
}
