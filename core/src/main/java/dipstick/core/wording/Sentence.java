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
        String own = phrases.stream().map(Phrase::text).collect(Collectors.joining());
        return parts.isEmpty()
                ? own
                : own + parts.stream().map(Sentence::text).collect(Collectors.joining("; ", " (", ")"));
    }
}
