package dipstick.server.readings;

import java.time.Instant;
import java.time.LocalDate;

/**
 * A reading that was taken.
 *
 * @param version of the criteria set
 * @param recordsAt when the records that were read were made ready
 * @param joined how many are on the list who were not at the reading before, and {@code gone} those who are no more
 */
record TakenReading(
        long id,
        String setId,
        int version,
        LocalDate asOf,
        Instant takenAt,
        String takenBy,
        Occasion occasion,
        Instant recordsAt,
        int eligible,
        int has,
        int onList,
        int toCheck,
        int joined,
        int gone) {
    /** What a reading was taken for. */
    enum Occasion {
        BY_HAND,
        RECORDS_CAME
    }
}
