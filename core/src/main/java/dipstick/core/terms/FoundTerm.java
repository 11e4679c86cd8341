package dipstick.core.terms;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

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
    public FoundTerm {
        kinds = List.copyOf(kinds);
        sources = List.copyOf(sources);
    }
}
