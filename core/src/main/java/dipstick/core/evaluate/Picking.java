package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.criteria.Test;
import java.util.BitSet;
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
        EventMatcher matcher = new EventMatcher(pick.events(), seen);
        ExactEnds ends = new ExactEnds(pick.end(), matcher, seen);
        int people = seen.population().size();
        AnswerBuilder answer = new AnswerBuilder(people);
        PeopleRange.forEach(people, range -> {
            ExactEnds.OfRange found = ends.ofRange(range);
            BitSet disagreed = new BitSet();
            for (int event : found.alike()) {
                int place = matcher.events().owner(event) - range.first();
                if (picking.answerOf(event) != picking.answerOf(found.events()[place])) {
                    disagreed.set(place);
                }
            }
            for (int place = 0; place < range.size(); place++) {
                int event = found.events()[place];
                if (event != ExactEnds.NO_EVENT && !found.others().get(place)) {
                    answer.set(range.first() + place, disagreed.get(place) ? Outcome.UNSURE : picking.answerOf(event));
                }
            }
            picking.ofSome(found.others(), matcher, range, answer);
        });
        return answer.seal();
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
