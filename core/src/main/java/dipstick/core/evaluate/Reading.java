package dipstick.core.evaluate;

import dipstick.core.criteria.CriteriaSet;
import dipstick.core.population.Population;
import java.time.LocalDate;
import java.util.BitSet;
import java.util.List;

/**
 * The result of a criteria set as of a day (criteria.md section 4, the answer).
 *
 * @param people in the population, of which {@code deceased} were left out
 * @param has what should be on record is; nobody where nothing should be
 */
public record Reading(
        CriteriaSet set,
        LocalDate asOf,
        Population records,
        BitSet people,
        int deceased,
        List<Level> levels,
        Answer eligible,
        Answer has,
        Answer list) {
    public Reading {
        levels = List.copyOf(levels);
    }

    /** Who is on the list here and not at another reading of the same people. */
    public BitSet onListAndNotAt(Reading other) {
        BitSet only = (BitSet) list.yes().clone();
        only.andNot(other.list.yes());
        return only;
    }

    /** Who has it among the eligible. */
    public Answer eligibleAndHas() {
        return eligibleAnd(has);
    }

    /** Those of the eligible for whom another answer holds, too. */
    public Answer eligibleAnd(Answer other) {
        return eligible.and(other);
    }
}
