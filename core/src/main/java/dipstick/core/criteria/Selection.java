package dipstick.core.criteria;

import dipstick.core.time.Window;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Picks some of a person's events (criteria.md section 3, events). All parts must hold.
 *
 * @param kinds one of these kinds
 * @param terms one of these term sets
 */
public record Selection(
        Optional<Set<ComparedText>> kinds,
        Optional<List<TermSet>> terms,
        List<FieldTest> where,
        boolean active,
        Window window) {
    public Selection {
        kinds = kinds.map(Set::copyOf);
        terms = terms.map(List::copyOf);
        where = List.copyOf(where);
    }

    public Selection within(Window other) {
        return new Selection(kinds, terms, where, active, other);
    }

    public Selection where(List<FieldTest> other) {
        return new Selection(kinds, terms, other, active, window);
    }
}
