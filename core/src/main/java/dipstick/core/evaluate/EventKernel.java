package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.criteria.Selection;
import dipstick.core.population.Events;

/** What a test makes of one person's matching events. */
@FunctionalInterface
interface EventKernel {
    Outcome answer(Matches matches);

    /** Asks everybody: those without a matching event all answer alike. */
    static Answer ofEverybody(Selection selection, EventKernel kernel, Seen seen) {
        Events events = seen.population().events();
        EventMatcher matcher = new EventMatcher(selection, seen);
        Matches matches = new Matches();
        AnswerBuilder answer = new AnswerBuilder(seen.population().size(), kernel.answer(matches));
        int[] candidates = matcher.candidates();
        int at = 0;
        while (at < candidates.length) {
            int person = events.owner(candidates[at]);
            int end = events.start(person + 1);
            matches.clear();
            for (; at < candidates.length && candidates[at] < end; at++) {
                matches.add(candidates[at], matcher.match(candidates[at]));
            }
            if (matches.size() > 0) {
                answer.set(person, kernel.answer(matches));
            }
        }
        return answer.seal();
    }

    /** The matching events of one person. */
    static Matches ofPerson(int person, EventMatcher matcher, Seen seen) {
        Events events = seen.population().events();
        Matches matches = new Matches();
        for (int event = events.start(person); event < events.start(person + 1); event++) {
            matches.add(event, matcher.match(event));
        }
        return matches;
    }
}
