package dipstick.server.outreach.work;

/** Something was not done about one person; the message says why, for whoever wanted it. */
final class Refused extends Exception {
    private static final long serialVersionUID = 1L;

    Refused(String why) {
        super(why);
    }

    String why() {
        return String.valueOf(getMessage());
    }
}
