package dipstick.core.typed;

import dipstick.core.text.NormalText;
import dipstick.core.typed.Expected.What;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/** Goes through what was typed, and remembers what might have stood where. */
final class Cursor {
    private final String typed;
    private final List<Token> tokens;
    private final List<Expected> expected = new ArrayList<>();
    private int at;

    Cursor(String typed) {
        this.typed = typed;
        this.tokens = Token.of(typed);
    }

    List<Expected> expected() {
        return List.copyOf(expected);
    }

    /** Where the next token begins: the end of the text where there is none. */
    int offset() {
        return at < tokens.size() ? tokens.get(at).from() : typed.length();
    }

    boolean atEnd() {
        return at >= tokens.size();
    }

    int mark() {
        return at;
    }

    void back(int mark) {
        at = mark;
    }

    /** Passes over these words where they stand here. */
    boolean take(String words) {
        expect(words, What.WORDS);
        return skip(words);
    }

    /** Passes over the first of these that stands here. */
    boolean takeAny(String... words) {
        boolean taken = false;
        for (String one : words) {
            taken = taken || take(one);
        }
        return taken;
    }

    /** As {@link #take}, of words that are understood but not offered. */
    boolean skip(String words) {
        int length = match(words);
        at += length;
        return length > 0;
    }

    boolean isNext(String words) {
        return match(words) > 0;
    }

    /** How many tokens these words are, where they stand here; else 0. */
    private int match(String words) {
        List<Token> wanted = Token.of(words);
        for (int i = 0; i < wanted.size(); i++) {
            if (at + i >= tokens.size()) {
                return 0;
            }
            Token here = tokens.get(at + i);
            if (here.kind() != wanted.get(i).kind()
                    || !here.normal().equals(wanted.get(i).normal())) {
                return 0;
            }
        }
        return wanted.size();
    }

    void need(String words) throws Mistake {
        if (!take(words)) {
            throw stuck();
        }
    }

    void expect(String words, What what) {
        expect(words, what, "");
    }

    void expect(String words, What what, String of) {
        expect(words, what, of, Expected.Within.ALL);
    }

    void expect(String words, What what, String of, Expected.Within within) {
        expected.add(new Expected(offset(), words, what, of, within));
    }

    /** The next token where it is of this kind, passed over. */
    Token takeKind(Token.Kind kind) throws Mistake {
        if (!isKind(kind)) {
            throw stuck();
        }
        return tokens.get(at++);
    }

    boolean isKind(Token.Kind kind) {
        return at < tokens.size() && tokens.get(at).kind() == kind;
    }

    /** Whether a quoted text stands here that is a label of what follows. */
    boolean isLabel() {
        return isKind(Token.Kind.QUOTED)
                && at + 1 < tokens.size()
                && tokens.get(at + 1).isSign(":");
    }

    boolean isSign(String sign) {
        return at < tokens.size() && tokens.get(at).isSign(sign);
    }

    /** What the next token says, normalised; empty at the end. */
    String peek() {
        return at < tokens.size() ? tokens.get(at).normal() : "";
    }

    /** What the next token says, as it was typed; empty at the end. */
    String peekText() {
        return at < tokens.size() ? tokens.get(at).text() : "";
    }

    /** Passes over the words up to the first that {@code ends}; what stood there, as it was typed. */
    String run(Predicate<String> ends) {
        int from = offset();
        int to = from;
        while (isKind(Token.Kind.WORD) && !ends.test(peek())) {
            to = tokens.get(at++).to();
        }
        return typed.substring(from, to);
    }

    /** How many tokens from here say this name; 0 where it does not stand here. */
    int lengthOf(String name) {
        return name.isBlank() ? 0 : match(name);
    }

    void pass(int count) {
        at += count;
    }

    /** Passes over a remark in brackets, such as the days that a window comes to. */
    void passRemark() {
        if (isSign("(")) {
            int mark = at;
            while (!atEnd() && !isSign(")")) {
                at++;
            }
            if (atEnd()) {
                at = mark;
            } else {
                at++;
            }
        }
    }

    /** That something else stands here than what may. */
    Mistake stuck() {
        return stuck("");
    }

    /** @param hint what helps besides what was expected, else empty */
    Mistake stuck(String hint) {
        int from = offset();
        int to = at < tokens.size() ? tokens.get(at).to() : from;
        String could = expected.stream()
                .filter(one -> one.from() == from)
                .map(one -> one.what() == What.WORDS
                        ? "“" + one.words() + "”"
                        : one.what().named())
                .distinct()
                .limit(8)
                .collect(Collectors.joining(", "));
        String found = from == to
                ? "Something is missing at the end."
                : "“" + typed.substring(from, to) + "” does not fit here.";
        return new Mistake(from, to, found + (could.isEmpty() ? "" : " What could stand here: " + could + ".") + hint);
    }

    Mistake wrong(int fromMark, String message) {
        int from = fromMark < tokens.size() ? tokens.get(fromMark).from() : typed.length();
        int to = at > 0 ? Math.max(from, tokens.get(at - 1).to()) : from;
        return new Mistake(from, to, message);
    }

    private static String unquoted(String words) {
        return NormalText.of(words.replaceAll("[“”\"]", ""));
    }

    /** Whether what was typed from {@code from} on is the beginning of {@code words}, and not all of them. */
    boolean isBegun(int from, String words) {
        String begun = unquoted(typed.substring(from));
        String whole = unquoted(words);
        return whole.startsWith(begun) && !whole.equals(begun);
    }
}
