package dipstick.core.evaluate;

import dipstick.core.Outcome;
import java.util.BitSet;
import java.util.function.Supplier;

/** What a test makes of one person's matching events. Not for use by several threads. */
@FunctionalInterface
interface EventKernel {
    Outcome answer(Matches matches);

    /**
     * Asks some people of a range.
     *
     * @param places of these people in the range
     */
    default void ofSome(BitSet places, EventMatcher matcher, PeopleRange range, AnswerBuilder answer) {
        if (matcher.isQuickerByPerson(places, range)) {
            places.stream()
                    .map(place -> range.first() + place)
                    .forEach(person -> answer.set(person, answer(matcher.ofPerson(person))));
            return;
        }
        Gathering gathered = Gathering.of(matcher, range, person -> places.get(person - range.first()));
        Matches matches = new Matches();
        places.stream().map(place -> range.first() + place).forEach(person -> {
            gathered.show(person, matches);
            answer.set(person, answer(matches));
        });
    }

    /**
     * Asks everybody.
     *
     * @param kernels makes one for each range of people
     */
    static Answer ofEverybody(EventMatcher matcher, Supplier<EventKernel> kernels, Seen seen) {
        int people = seen.population().size();
        AnswerBuilder answer = new AnswerBuilder(people);
        PeopleRange.forEach(people, range -> {
            EventKernel kernel = kernels.get();
            Gathering gathered = Gathering.of(matcher, range);
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
