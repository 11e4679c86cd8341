package dipstick.core.typed;

import dipstick.core.text.NormalText;
import dipstick.core.wording.Quoted;
import java.util.ArrayList;
import java.util.List;

/**
 * A word, a quoted text, a dial or a sign of what was typed.
 *
 * @param text what it says: a quoted text and a dial without their marks
 * @param from where it begins, in characters of the whole text
 * @param to where it ends, which is not in it
 */
record Token(Kind kind, String text, int from, int to) {
    enum Kind {
        WORD,
        QUOTED,
        DIAL,
        SIGN
    }

    /** As it is compared. */
    String normal() {
        return NormalText.of(text);
    }

    boolean isSign(String sign) {
        return kind == Kind.SIGN && text.equals(sign);
    }

    static List<Token> of(String typed) {
        List<Token> tokens = new ArrayList<>();
        int at = 0;
        while (at < typed.length()) {
            char c = typed.charAt(at);
            if (Character.isWhitespace(c) || Character.isSpaceChar(c)) {
                at++;
                continue;
            }
            Token token = next(typed, at, c);
            tokens.add(token);
            at = token.to();
        }
        return tokens;
    }

    private static Token next(String typed, int at, char c) {
        return switch (c) {
            case '“', '”', '"' -> enclosed(typed, at, c == '"' ? '"' : '”', Kind.QUOTED);
            case '[' -> enclosed(typed, at, ']', Kind.DIAL);
            case '(', ')', ',', ';', ':', '#', ']' -> new Token(Kind.SIGN, String.valueOf(c), at, at + 1);
            default -> {
                int to = at;
                while (to < typed.length() && isOfWord(typed.charAt(to))) {
                    to++;
                }
                yield new Token(Kind.WORD, typed.substring(at, to), at, to);
            }
        };
    }

    /**
     * What stands up to the closing mark, which is doubled where it is meant; to the end where there is none. Line breaks and
     * tabs stand as {@link Quoted#always} prints them.
     */
    private static Token enclosed(String typed, int from, char closing, Kind kind) {
        StringBuilder text = new StringBuilder();
        int at = from + 1;
        while (at < typed.length()) {
            char c = typed.charAt(at);
            if (c == closing) {
                if (at + 1 >= typed.length() || typed.charAt(at + 1) != closing) {
                    return new Token(kind, text.toString(), from, at + 1);
                }
                at++;
            } else if (c == '␛' && at + 1 < typed.length()) {
                text.append(typed.charAt(at + 1));
                at += 2;
                continue;
            }
            text.append(Quoted.meant(c));
            at++;
        }
        return new Token(kind, text.toString(), from, at);
    }

    private static boolean isOfWord(char c) {
        return !Character.isWhitespace(c) && !Character.isSpaceChar(c) && "()[],;:#“”\"".indexOf(c) < 0;
    }
}
