package dipstick.region.evaluate;

import dipstick.core.parts.PartAnswer;
import dipstick.region.records.Practice;
import java.io.IOException;
import java.io.Serializable;
import java.util.List;
import java.util.stream.StreamSupport;

/**
 * What came of a practice.
 *
 * @param levels its answer without the list, as it is written; empty where something was wrong
 * @param faults what was wrong
 */
record PracticeResult(String practice, byte[] levels, List<String> faults) implements Serializable {
    PracticeResult {
        faults = List.copyOf(faults);
    }

    /** What is done with the whole answer of a practice. */
    interface Taking {
        void take(PartAnswer answer) throws IOException;
    }

    /** Puts the parts of a practice together, and sees whether all of its records were there. */
    static PracticeResult of(Practice practice, Iterable<PartResult> parts, Taking whole) throws IOException {
        List<PartResult> all = StreamSupport.stream(parts.spliterator(), false).toList();
        List<String> faults = faults(practice, all);
        if (!faults.isEmpty()) {
            return new PracticeResult(practice.name(), new byte[0], faults);
        }
        PartAnswer answer = PartAnswer.all(
                all.stream().map(part -> PartAnswer.read(part.answer())).toList());
        whole.take(answer);
        return new PracticeResult(practice.name(), answer.withoutList().written(), List.of());
    }

    private static List<String> faults(Practice practice, List<PartResult> parts) {
        List<String> told = parts.stream()
                .filter(PartResult::isFaulty)
                .map(PartResult::fault)
                .toList();
        long people = parts.stream().mapToLong(PartResult::people).sum();
        long events = parts.stream().mapToLong(PartResult::events).sum();
        if (!told.isEmpty() || (people == practice.people() && events == practice.events())) {
            return told;
        }
        return List.of("The practice " + practice.name() + " had " + practice.people() + " people and "
                + practice.events() + " events when it was converted; " + people + " and " + events
                + " are there. Files are missing, or were added.");
    }
}
