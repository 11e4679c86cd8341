package dipstick.core.typed.plain;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A part of what was said, or the word that joins two.
 *
 * @param words “or” or “and” where it joins
 */
record Part(String words, boolean joins) {
    private static final String[] FILLERS = {
        "(?:please )?(?:find|show|list|give|get|count|select|want|need|i want|i need)(?: me)?",
        "(?:whose|all|every|any|those|these|the|only|just|also|both|people|persons?|patients?|everybody|everyone|anybody|anyone|whoever|somebody|someone|of|is|are|was|were|be|been|who|whom|that|which|they|to|with|has|have|had|and|but|in|as|currently|still|a|an|,|;)"
    };

    private static final Pattern LEADING = Pattern.compile("^(?:" + String.join("|", FILLERS) + ")(?= |$) ?");
    private static final Pattern TRAILING = Pattern.compile(
            " ?(?<= |^)(?:people|persons?|patients?|who|that|which|is|are|was|were|and|but|with|has|have|had|,|;|please|in|of|at|by)$");

    private static final Pattern JOINS_BEFORE = Pattern.compile("^(or|and|but|,|;)(?: (.*))?$");
    private static final Pattern JOINS_BEHIND = Pattern.compile("^(.*) (or|and|but|,)$");

    static Part joining(String word) {
        return new Part(word.equals("or") ? "or" : "and", true);
    }

    boolean isOr() {
        return joins && words.equals("or");
    }

    /** The parts of a line between the marks of criteria that begin, and whole ones. */
    static List<Part> of(String line) {
        List<Part> parts = new ArrayList<>();
        for (String piece :
                line.replaceAll("((?:(?<= |^)not )?[\uF500-\uF8FE])", "¦ $1 ¦").split("¦")) {
            String words = piece.strip();
            Matcher start = JOINS_BEFORE.matcher(words);
            if (start.matches()) {
                parts.add(joining(start.group(1)));
                words = start.group(2) == null ? "" : start.group(2);
            }
            Matcher end = JOINS_BEHIND.matcher(words);
            boolean ends = end.matches();
            String bare = bare(ends ? end.group(1) : words);
            if (!bare.isEmpty()) {
                parts.add(new Part(bare, false));
            }
            if (ends) {
                parts.add(joining(end.group(2)));
            }
        }
        return parts;
    }

    /** Without words at its ends that change nothing. */
    static String bare(String words) {
        String bare = words;
        for (Matcher filler = LEADING.matcher(bare); filler.find(); filler = LEADING.matcher(bare)) {
            bare = bare.substring(filler.end());
        }
        for (Matcher filler = TRAILING.matcher(bare);
                filler.find() && filler.end() > filler.start();
                filler = TRAILING.matcher(bare)) {
            bare = bare.substring(0, filler.start());
        }
        return bare.strip();
    }
}
