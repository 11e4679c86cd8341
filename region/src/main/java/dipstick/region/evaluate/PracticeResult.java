package dipstick.region.evaluate;

import dipstick.core.parts.PartAnswer;
import dipstick.region.records.Practice;
import java.io.Serializable;
import java.util.List;
import java.util.stream.StreamSupport;

/**
 * What came of a practice.
 *
 * @param answer as it is written; empty where something was wrong
 * @param faults what was wrong
 */
record PracticeResult(String practice, byte[] answer, List<String> faults) implements Serializable {
    PracticeResult {
        faults = List.copyOf(faults);
    }

    boolean isFaulty() {
        return !faults.isEmpty();
    }

    PracticeResult withoutList() {
        return new PracticeResult(
                practice, PartAnswer.read(answer).withoutList().written(), faults);
    }

    /** Puts the parts of a practice together, and sees whether all of its records were there. */
    static PracticeResult of(Practice practice, Iterable<PartResult> parts) {
        List<PartResult> all = StreamSupport.stream(parts.spliterator(), false).toList();
        List<String> faults =
                all.stream().filter(PartResult::isFaulty).map(PartResult::fault).toList();
        if (!faults.isEmpty()) {
            return new PracticeResult(practice.name(), new byte[0], faults);
        }
        long people = all.stream().mapToLong(PartResult::people).sum();
        long events = all.stream().mapToLong(PartResult::events).sum();
        if (people != practice.people() || events != practice.events()) {
            return new PracticeResult(
                    practice.name(),
                    new byte[0],
                    List.of("The practice " + practice.name() + " had " + practice.people() + " people and "
                            + practice.events() + " events when it was converted; " + people + " and " + events
                            + " are there. Files are missing, or were added."));
        }
        PartAnswer answer = all.stream()
                .map(part -> PartAnswer.read(part.answer()))
                .reduce(PartAnswer::plus)
                .orElseThrow();
        return new PracticeResult(practice.name(), answer.written(), List.of());
    }
}
