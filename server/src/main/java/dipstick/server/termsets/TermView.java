package dipstick.server.termsets;

import dipstick.core.terms.FoundTerm;
import dipstick.core.terms.Term;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * A code, wording or keyword of the records, and where it is on record.
 *
 * @param besides in how many of its records the code only stands beside another
 */
record TermView(
        Term.Sort sort,
        String term,
        String system,
        String says,
        int records,
        int people,
        int besides,
        List<String> kinds,
        List<String> sources,
        Optional<String> first,
        Optional<String> last) {
    static TermView of(FoundTerm found) {
        return new TermView(
                found.term().sort(),
                found.term().term(),
                found.term().system(),
                found.says(),
                found.records(),
                found.people(),
                found.besides(),
                found.kinds(),
                found.sources(),
                found.first().map(LocalDate::toString),
                found.last().map(LocalDate::toString));
    }
}
