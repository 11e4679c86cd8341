package dipstick.core.terms;

import dipstick.core.text.NormalText;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A term and where it is on record.
 *
 * @param says the wording most often recorded with a code; the term itself for the others
 * @param besides in how many of its records the code only stands beside another
 * @param kinds of its records, and {@code sources}, the most frequent first
 * @param first the first day of the earliest record that is dated, and {@code last} the last day of the latest
 */
public record FoundTerm(
        Term term,
        String says,
        int records,
        int people,
        int besides,
        List<String> kinds,
        List<String> sources,
        Optional<LocalDate> first,
        Optional<LocalDate> last) {
    /** What was planned or tried, and has not happened by that; attempts have the names of their lists as keywords. */
    private static final Set<String> NOT_DONE = Set.of("appointment", "contact");

    public FoundTerm {
        kinds = List.copyOf(kinds);
        sources = List.copyOf(sources);
    }

    /** Whether it is on record as something that happened, and not only as planned or tried. */
    public boolean happened() {
        return kinds.stream().map(NormalText::of).anyMatch(kind -> !NOT_DONE.contains(kind));
    }
}
