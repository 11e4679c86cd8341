package dipstick.core.typed;

import dipstick.core.wording.Quoted;
import java.util.List;

/** The words with which the parts of a set begin in its text. */
final class Heading {
    static final String EVERYONE = "Everyone, the deceased too";
    static final String INCLUDE = "Include";
    static final String EXCLUDE = "Exclude";
    static final String SHOULD_HAVE = "Should have";
    static final String BANDS = "Bands";
    static final String SHOW = "Show";
    static final String ORDER = "Order by";
    static final String TOP = "Top";
    static final String DIALS = "Dials";
    static final String TERM_SET = "Term set";
    static final String ROSTER = "Roster";

    private Heading() {}

    /** A name or a line of the purpose as it stands on a line of its own: quoted where it would not come back as it is. */
    static String words(String text) {
        boolean plain = Quoted.isOneLine(text) && !text.isEmpty() && "“”\"->".indexOf(text.charAt(0)) < 0;
        return plain || text.isEmpty() ? text : Quoted.always(text);
    }

    /** What a line of its own says. */
    static String said(String line) {
        List<Token> tokens = Token.of(line);
        return tokens.size() == 1 && tokens.getFirst().kind() == Token.Kind.QUOTED
                ? tokens.getFirst().text()
                : line.strip();
    }
}
