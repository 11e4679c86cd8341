package dipstick.core.wording;

import java.util.List;
import java.util.stream.Collectors;

/**
 * A test in words; the parts of a group stand below it.
 *
 * @param pointer the test, as a JSON Pointer from the criterion's test
 */
public record Sentence(String pointer, List<Phrase> phrases, List<Sentence> parts) {
    public Sentence {
        phrases = List.copyOf(phrases);
        parts = List.copyOf(parts);
    }

    /** The whole sentence on one line. */
    public String text() {
        return isGroup()
                ? own() + parts.stream().map(Sentence::text).collect(Collectors.joining("; ", " (", ")"))
                : own();
    }

    /**
     * The whole sentence, with the parts of a group on lines of their own where it is too long for one.
     *
     * @param indent what stands before its first line, which is longer by two for its parts
     */
    public String lines(int width, String indent) {
        if (!isGroup() || indent.length() + text().length() <= width) {
            return text();
        }
        String inner = indent + "  ";
        return own()
                + parts.stream()
                        .map(part -> "\n" + inner + part.lines(width, inner))
                        .collect(Collectors.joining(";", " (", ")"));
    }

    private boolean isGroup() {
        return !parts.isEmpty()
                || phrases.stream()
                        .flatMap(phrase -> phrase.slot().stream())
                        .anyMatch(slot -> slot.control() == Slot.Control.GROUP);
    }

    private String own() {
        return phrases.stream().map(Phrase::text).collect(Collectors.joining());
    }
}
