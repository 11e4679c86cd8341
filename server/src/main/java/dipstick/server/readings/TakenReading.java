package dipstick.server.readings;

import java.time.Instant;
import java.time.LocalDate;

/**
 * A reading that was taken.
 *
 * @param version of the criteria set
 * @param recordsAt when the records that were read were made ready
 * @param recordsStamp names the state of the records that were read
 * @param dials as they were turned, as JSON; the others were at their defaults
 * @param joined how many are on the list who were not at the reading before, and {@code gone} those who are no more
 * @param base the whole reading from which it tells its members: itself, or one before, since which some were read again
 */
public record TakenReading(
        long id,
        String setId,
        int version,
        LocalDate asOf,
        Instant takenAt,
        String takenBy,
        Occasion occasion,
        Instant recordsAt,
        String recordsStamp,
        String dials,
        int eligible,
        int has,
        int onList,
        int toCheck,
        int joined,
        int gone,
        long base) {
    /** What a reading was taken for. */
    public enum Occasion {
        BY_HAND,
        RECORDS_CAME,
        PUBLISHED,
        DIALS_TURNED,
        SCHEDULED
    }
}
