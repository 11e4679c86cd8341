package dipstick.core.evaluate;

import java.time.LocalDate;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * What a criterion finds among somebody's records (criteria.md section 4, a column of a criterion).
 *
 * @param count how many match for certain, by what the criterion counts
 * @param latest the last day of the latest dated one, and {@code earliest} the first day of the earliest
 * @param latestEvent the row of the latest
 */
public record Found(int count, Optional<LocalDate> latest, Optional<LocalDate> earliest, OptionalInt latestEvent) {
    static final Found NOTHING = new Found(0, Optional.empty(), Optional.empty(), OptionalInt.empty());
}
