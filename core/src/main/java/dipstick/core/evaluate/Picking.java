package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.criteria.FieldTest;
import dipstick.core.criteria.Test;
import java.util.List;

/** What holds of the latest or earliest matching event (criteria.md section 3). */
final class Picking implements EventKernel {
    private final Seen seen;
    private final Candidates candidates;
    private final List<FieldMatcher> tests;

    Picking(Test.End end, List<FieldTest> is, Seen seen) {
        this.seen = seen;
        this.candidates = new Candidates(end, seen);
        this.tests = is.stream().map(test -> FieldMatcher.ofEvents(test, seen)).toList();
    }

    @Override
    public Outcome answer(Matches matches) {
        return candidates.agreed(matches, place -> answerOf(matches.event(place)));
    }

    Outcome answerOf(int event) {
        int person = seen.population().events().owner(event);
        Outcome outcome = Outcome.YES;
        for (FieldMatcher test : tests) {
            outcome = outcome.and(test.of(event, person));
        }
        return outcome;
    }
}
