package dipstick.core.typed;

/** The words with which the parts of a set begin in its text. */
final class Heading {
    static final String EVERYONE = "Everyone, the deceased too";
    static final String INCLUDE = "Include";
    static final String EXCLUDE = "Exclude";
    static final String SHOULD_HAVE = "Should have";
    static final String BANDS = "Bands";
    static final String SHOW = "Show";
    static final String ORDER = "Order by";
    static final String DIALS = "Dials";
    static final String TERM_SET = "Term set";
    static final String ROSTER = "Roster";

    private Heading() {}
}
