package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.population.Events;

/** What a test makes of one person's matching events. Not for use by several threads. */
@FunctionalInterface
interface EventKernel {
    Outcome answer(Matches matches);

    /** Makes a kernel for each range of people. */
    @FunctionalInterface
    interface Maker {
        EventKernel make();
    }

    /** Asks everybody. */
    static Answer ofEverybody(EventMatcher matcher, Maker kernels, Seen seen) {
        int people = seen.population().size();
        Events events = seen.population().events();
        AnswerBuilder answer = new AnswerBuilder(people);
        PeopleRange.forEach(people, range -> {
            EventKernel kernel = kernels.make();
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
