package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.criteria.Test;
import dipstick.core.population.Events;

/** Whether anchor events were followed by others in time (criteria.md section 3, sequence). */
final class Following {
    private final Test.Sequence test;
    private final EventMatcher anchors;
    private final EventMatcher expected;
    /** The first and last day from which something may follow, by anchor, and those until which it may. */
    private final DateMemo mayFrom;

    private final DateMemo surelyFrom;
    private final DateMemo surelyUntil;
    private final DateMemo mayUntil;
    private final Seen seen;

    Following(Test.Sequence test, Seen seen) {
        this.test = test;
        this.seen = seen;
        this.anchors = new EventMatcher(test.anchor(), seen);
        this.expected = new EventMatcher(test.expect(), seen);
        EventDates dates = seen.dates();
        this.mayFrom = new DateMemo(dates, code -> test.notBefore().after(dates.firstOf(code)));
        this.surelyFrom = new DateMemo(dates, code -> test.notBefore().after(dates.lastOf(code)));
        this.surelyUntil = new DateMemo(dates, code -> test.within().after(dates.firstOf(code)));
        this.mayUntil = new DateMemo(dates, code -> test.within().after(dates.lastOf(code)));
    }

    Answer ofEverybody() {
        int people = seen.population().size();
        Events events = seen.population().events();
        AnswerBuilder answer = new AnswerBuilder(people);
        PeopleRange.forEach(people, range -> {
            Gathering anchored = Gathering.of(anchors, range, events);
            Gathering followed = Gathering.of(expected, range, events, person -> !anchored.isEmpty(person));
            OfPerson ofPerson = new OfPerson();
            for (int person = range.first(); person < range.end(); person++) {
                if (!anchored.isEmpty(person)) {
                    anchored.show(person, ofPerson.anchors);
                    followed.show(person, ofPerson.followers);
                    answer.set(person, ofPerson.answer());
                }
            }
        });
        return answer.seal();
    }

    /** Whether {@code event} comes in time after {@code anchor}. */
    Outcome isInTime(int anchor, int event) {
        EventDates dates = seen.dates();
        if (!dates.isDated(anchor) || !dates.isDated(event)) {
            return Outcome.UNSURE;
        }
        int first = dates.first(event);
        int last = dates.last(event);
        if (first >= surelyFrom.of(anchor) && last <= surelyUntil.of(anchor)) {
            return Outcome.YES;
        }
        return last < mayFrom.of(anchor) || first > mayUntil.of(anchor) ? Outcome.NO : Outcome.UNSURE;
    }

    /** The answer for one person after another. */
    private final class OfPerson {
        private final Matches anchors = new Matches();
        private final Matches followers = new Matches();
        private final Matches inTime = new Matches();
        private final Counting counting = new Counting(test.count(), test.per(), seen);

        Outcome answer() {
            return switch (test.pick()) {
                case LATEST -> picked(Test.End.LATEST);
                case EARLIEST -> picked(Test.End.EARLIEST);
                case ANY -> {
                    Outcome any = Outcome.NO;
                    for (int i = 0; i < anchors.size(); i++) {
                        any = any.or(anchors.outcome(i).and(answerFor(anchors.event(i))));
                    }
                    yield any;
                }
                case EACH -> {
                    Outcome each = Outcome.YES;
                    for (int i = 0; i < anchors.size(); i++) {
                        each = each.and(anchors.outcome(i).not().or(answerFor(anchors.event(i))));
                    }
                    yield each;
                }
            };
        }

        private Outcome picked(Test.End end) {
            return new Candidates(end, seen).agreed(anchors, place -> answerFor(anchors.event(place)));
        }

        /** The answer for one anchor, which is itself not counted. */
        private Outcome answerFor(int anchor) {
            inTime.clear();
            for (int i = 0; i < followers.size(); i++) {
                int event = followers.event(i);
                if (event != anchor) {
                    inTime.add(event, followers.outcome(i).and(isInTime(anchor, event)));
                }
            }
            return counting.answer(inTime);
        }
    }
}
