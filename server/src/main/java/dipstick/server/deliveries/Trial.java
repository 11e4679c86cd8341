package dipstick.server.deliveries;

import dipstick.intake.make.Trouble;
import dipstick.server.records.RecordsIn.Brought;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What taking a file would do, and what is wrong with it.
 *
 * @param rows of the file, those left out by the intake not among them
 * @param leftOut rows that the intake leaves out, such as totals
 * @param troubles by reason
 * @param badRows rows of which something cannot be made
 * @param first of the records, as they would become
 * @param strange what is otherwise than the intake expects
 * @param neverSeen words that were never in a field that has few
 * @param effects on the lists in force
 * @param takenBefore when the very same file was taken, if it was
 */
record Trial(
        int rows,
        int leftOut,
        List<TroubleGroup> troubles,
        int badRows,
        Brought brought,
        List<Map<String, String>> first,
        List<String> strange,
        List<NeverSeen> neverSeen,

        List<Effect> effects,
        Optional<Instant> takenBefore) {
    /**
     * Words that were never seen in a field; they may be those on file, written otherwise.
     *
     * @param ofPeople whether it is a field of people, or one of records
     * @param onFile the words that are on file
     */
    record NeverSeen(boolean ofPeople, String field, List<String> words, List<String> onFile) {
        NeverSeen {
            words = List.copyOf(words);
            onFile = List.copyOf(onFile);
        }

        String said() {
            return "Never seen before as " + field + ": " + String.join(", ", words) + ".";
        }
    }

    /** @param first a few of them */
    record TroubleGroup(Trouble.Reason reason, int count, List<Trouble> first) {}

    /** A list that would change. */
    record Effect(String set, String name, int joined, int left) {}

    /** Whether there is anything to take. */
    boolean isGood() {
        return brought.people().added()
                        + brought.people().changed()
                        + brought.people().unchanged()
                        + brought.events().added()
                        + brought.events().changed()
                        + brought.events().unchanged()
                > 0;
    }
}
