package dipstick.server.lists;

import dipstick.server.readings.DialSetting;
import java.util.List;
import java.util.Optional;

/**
 * How a list stands.
 *
 * @param bands those on the list by the set's bands, in their order, then those in none; empty where it has no bands
 * @param readOn the day of the reading that these numbers are of; nothing where they are of now
 * @param dials as they are set for the list
 * @param sharing “private”, or with whom it is shared
 * @param doubts what looks wrong about the set over the records of now, in sentences
 * @param problem why the set cannot be evaluated over the records of now; empty where it can
 */
record ListSummary(
        String id,
        String name,
        String purpose,
        int on,
        int toCheck,
        int has,
        int eligible,
        boolean shouldHave,
        List<BandPart> bands,
        Optional<String> readOn,
        List<DialSetting> dials,
        String sharing,
        List<String> doubts,
        String problem) {
    /**
     * How many on a list are in a band.
     *
     * @param band empty for those in none
     */
    record BandPart(String band, int people) {}

    ListSummary shared(String words) {
        return new ListSummary(
                id,
                name,
                purpose,
                on,
                toCheck,
                has,
                eligible,
                shouldHave,
                bands,
                readOn,
                dials,
                words,
                doubts,
                problem);
    }
}
