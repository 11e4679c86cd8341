package dipstick.core.evaluate;

import java.time.LocalDate;

/** When somebody's criteria for what should be on record lapse, or did (criteria.md section 4, due date). */
public sealed interface Due {
    /** Nothing is renewable, so there is no due date. */
    record None() implements Due {}

    /** What should be on record never was. */
    record Never() implements Due {}

    record On(LocalDate day) implements Due {}
}
