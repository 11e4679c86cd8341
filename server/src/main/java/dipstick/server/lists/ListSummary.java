package dipstick.server.lists;

import dipstick.server.outreach.desk.ListsAtWork;
import dipstick.server.readings.DialSetting;
import dipstick.server.readings.LevelAt;
import java.util.List;
import java.util.Optional;

/**
 * How a list stands.
 *
 * @param bands those on the list by the set's bands, in their order, then those in none; empty where it has no bands
 * @param target how many percent of the eligible are meant to have it; nothing where nobody said
 * @param trend how the list stood at its readings of the last twelve months, one of a week at most, the first one first
 * @param joined in the last seven days, of the people whom whoever asks may see
 * @param inHandOf the colleagues who work it, whoever has most people in hand first
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
        Optional<Integer> target,
        List<LevelPoint> trend,
        int joined,
        List<ListsAtWork.InHandOf> inHandOf,
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

    /** How many had what they should have, at a reading. */
    record LevelPoint(String asOf, int eligible, int has, int onList) {
        static LevelPoint of(LevelAt level) {
            return new LevelPoint(level.asOf().toString(), level.eligible(), level.has(), level.onList());
        }
    }

    /** With what is so of whoever asks, and at this moment. */
    ListSummary now(String sharedWith, Optional<Integer> wanted, int joinedOfLate, List<ListsAtWork.InHandOf> worksIt) {
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
                wanted,
                trend,
                joinedOfLate,
                worksIt,
                readOn,
                dials,
                sharedWith,
                doubts,
                problem);
    }
}
