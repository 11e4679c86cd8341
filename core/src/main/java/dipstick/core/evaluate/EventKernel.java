package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.population.Events;
import java.util.function.Supplier;

/** What a test makes of one person's matching events. Not for use by several threads. */
@FunctionalInterface
interface EventKernel {
    Outcome answer(Matches matches);

    /**
     * Asks everybody.
     *
     * @param kernels makes one for each range of people
     */
    static Answer ofEverybody(EventMatcher matcher, Supplier<EventKernel> kernels, Seen seen) {
        int people = seen.population().size();
        Events events = seen.population().events();
        AnswerBuilder answer = new AnswerBuilder(people);
        PeopleRange.forEach(people, range -> {
            EventKernel kernel = kernels.get();
            Gathering gathered = Gathering.of(matcher, range, events);
            Matches matches = new Matches();
            Outcome ofNone = kernel.answer(matches);
            for (int person = range.first(); person < range.end(); person++) {
                if (gathered.isEmpty(person)) {
                    answer.set(person, ofNone);
                } else {
                    gathered.show(person, matches);
                    answer.set(person, kernel.answer(matches));
                }
            }
        });
        return answer.seal();
    }
}
