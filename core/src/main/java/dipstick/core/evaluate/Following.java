package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.criteria.Count;
import dipstick.core.criteria.Test;
import dipstick.core.time.DateRange;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Optional;
import java.util.function.IntPredicate;

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
        AnswerBuilder answer = new AnswerBuilder(people);
        Optional<ExactEnds> ends = endOfOneDay().map(end -> new ExactEnds(end, anchors, seen));
        PeopleRange.forEach(people, range -> {
            if (ends.isPresent()) {
                BitSet others = new OneDay(ends.get(), range).answer(answer);
                answer(others, range, answer);
            } else {
                answer(range, person -> true, answer);
            }
        });
        return answer.seal();
    }

    private void answer(BitSet places, PeopleRange range, AnswerBuilder answer) {
        if (anchors.isQuickerByPerson(places, range)) {
            places.stream()
                    .map(place -> range.first() + place)
                    .forEach(person -> answer.set(
                            person, new OfPerson(anchors.ofPerson(person), expected.ofPerson(person)).answer()));
        } else {
            answer(range, person -> places.get(person - range.first()), answer);
        }
    }

    private void answer(PeopleRange range, IntPredicate who, AnswerBuilder answer) {
        Gathering anchored = Gathering.of(anchors, range, who);
        Gathering followed = Gathering.of(expected, range, person -> !anchored.isEmpty(person));
        OfPerson ofPerson = new OfPerson(new Matches(), new Matches());
        for (int person = range.first(); person < range.end(); person++) {
            if (!anchored.isEmpty(person)) {
                anchored.show(person, ofPerson.anchors);
                followed.show(person, ofPerson.followers);
                answer.set(person, ofPerson.answer());
            }
        }
    }

    /**
     * Which end is picked, where that alone may tell the stretch of days in which something should follow: nothing is counted
     * besides whether there is any, and no event may be both an anchor and what follows.
     */
    private Optional<Test.End> endOfOneDay() {
        boolean anyIsEnough = test.count().equals(Count.ONE_OR_MORE) && test.per() == Test.Per.RECORD;
        boolean apart = Arrays.stream(anchors.concepts()).noneMatch(expected::isAbout);
        return anyIsEnough && apart
                ? switch (test.pick()) {
                    case LATEST -> Optional.of(Test.End.LATEST);
                    case EARLIEST -> Optional.of(Test.End.EARLIEST);
                    case ANY, EACH -> Optional.empty();
                }
                : Optional.empty();
    }

    /**
     * The answers of those of a range who surely have their anchors on one exact day: what should follow is then looked for
     * as the rows go by.
     */
    private final class OneDay {
        private final PeopleRange range;
        private final int[] from;
        private final int[] until;
        private final BitSet anchored = new BitSet();
        private final BitSet others;
        private int earliest = DateRange.OPEN_LAST;
        private int latest = DateRange.OPEN_FIRST;

        OneDay(ExactEnds ends, PeopleRange range) {
            this.range = range;
            this.from = new int[range.size()];
            this.until = new int[range.size()];
            ExactEnds.OfRange found = ends.ofRange(range);
            this.others = found.others();
            for (int place = 0; place < range.size(); place++) {
                int anchor = found.events()[place];
                if (anchor != ExactEnds.NO_EVENT && !others.get(place)) {
                    anchored.set(place);
                    from[place] = surelyFrom.of(anchor);
                    until[place] = surelyUntil.of(anchor);
                    earliest = Math.min(earliest, from[place]);
                    latest = Math.max(latest, until[place]);
                }
            }
        }

        /** @return the places of those who are to be asked otherwise */
        BitSet answer(AnswerBuilder answer) {
            expected.forEachRow(range, new DateRange(earliest, latest), (marked, count) -> {
                for (int i = 0; i < count; i++) {
                    int event = Matches.unmarked(marked[i]);
                    int place = expected.events().owner(event) - range.first();
                    if (anchored.get(place)) {
                        raise(range.first() + place, event, marked[i] >= 0, answer);
                    }
                }
            });
            return others;
        }

        private void raise(int person, int event, boolean certain, AnswerBuilder answer) {
            int place = person - range.first();
            int first = seen.dates().first(event);
            int last = seen.dates().last(event);
            if (!seen.dates().isDated(event)) {
                answer.raise(person, false);
            } else if (first >= from[place] && last <= until[place]) {
                answer.raise(person, certain);
            } else if (last >= from[place] && first <= until[place]) {
                answer.raise(person, false);
            }
        }
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
        private final Matches anchors;
        private final Matches followers;
        private final Matches inTime = new Matches();
        private final Counting counting = new Counting(test.count(), test.per(), seen);

        OfPerson(Matches anchors, Matches followers) {
            this.anchors = anchors;
            this.followers = followers;
        }

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
