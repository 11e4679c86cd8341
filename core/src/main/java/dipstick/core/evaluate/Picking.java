package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.criteria.Test;
import java.util.List;

/** What holds of the latest or earliest matching event (criteria.md section 3). */
final class Picking implements EventKernel {
    private final Candidates candidates;
    private final List<FieldMatcher> tests;

    Picking(Test.Pick pick, Seen seen) {
        this.candidates = new Candidates(pick.end(), seen);
        this.tests = pick.is().stream()
                .map(test -> FieldMatcher.ofEvents(test, seen))
                .toList();
    }

    static Answer ofEverybody(Test.Pick pick, Seen seen) {
        Picking picking = new Picking(pick, seen);
        return EventKernel.ofEverybody(new EventMatcher(pick.events(), seen), () -> picking, seen);
    }

    @Override
    public Outcome answer(Matches matches) {
        return candidates.agreed(matches, place -> answerOf(matches.event(place)));
    }

    private Outcome answerOf(int event) {
        Outcome outcome = Outcome.YES;
        for (FieldMatcher test : tests) {
            outcome = outcome.and(test.of(event));
        }
        return outcome;
    }
}
