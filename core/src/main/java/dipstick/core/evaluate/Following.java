package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.criteria.Test;
import dipstick.core.time.CalendarPeriod;

/** Whether anchor events were followed by others in time (criteria.md section 3, sequence). */
final class Following implements EventKernel {
    private final Test.Sequence test;
    private final Seen seen;
    private final EventMatcher expected;
    private final Counting counting;
    private final Matches inTime = new Matches();

    Following(Test.Sequence test, Seen seen) {
        this.test = test;
        this.seen = seen;
        this.expected = new EventMatcher(test.expect(), seen);
        this.counting = new Counting(test.count(), test.per(), seen);
    }

    @Override
    public Outcome answer(Matches anchors) {
        if (anchors.size() == 0) {
            return Outcome.NO;
        }
        int person = seen.population().events().owner(anchors.event(0));
        Matches followers = EventKernel.ofPerson(person, expected, seen);
        return switch (test.pick()) {
            case LATEST -> picked(Test.End.LATEST, anchors, followers);
            case EARLIEST -> picked(Test.End.EARLIEST, anchors, followers);
            case ANY -> {
                Outcome any = Outcome.NO;
                for (int i = 0; i < anchors.size(); i++) {
                    any = any.or(anchors.outcome(i).and(answerFor(anchors.event(i), followers)));
                }
                yield any;
            }
            case EACH -> {
                Outcome each = Outcome.YES;
                for (int i = 0; i < anchors.size(); i++) {
                    each = each.and(anchors.outcome(i).not().or(answerFor(anchors.event(i), followers)));
                }
                yield each;
            }
        };
    }

    private Outcome picked(Test.End end, Matches anchors, Matches followers) {
        return new Candidates(end, seen).agreed(anchors, place -> answerFor(anchors.event(place), followers));
    }

    /** The answer for one anchor, which is itself not counted. */
    private Outcome answerFor(int anchor, Matches followers) {
        return counting.answer(inTimeAfter(anchor, followers));
    }

    private Matches inTimeAfter(int anchor, Matches followers) {
        inTime.clear();
        for (int i = 0; i < followers.size(); i++) {
            int event = followers.event(i);
            if (event != anchor) {
                inTime.add(event, followers.outcome(i).and(isInTime(anchor, event)));
            }
        }
        return inTime;
    }

    Outcome isInTime(int anchor, int event) {
        EventDates dates = seen.dates();
        if (!dates.isDated(anchor) || !dates.isDated(event)) {
            return Outcome.UNSURE;
        }
        CalendarPeriod notBefore = test.notBefore();
        CalendarPeriod within = test.within();
        int first = dates.first(event);
        int last = dates.last(event);
        if (first >= notBefore.after(dates.last(anchor)) && last <= within.after(dates.first(anchor))) {
            return Outcome.YES;
        }
        boolean outside = last < notBefore.after(dates.first(anchor)) || first > within.after(dates.last(anchor));
        return outside ? Outcome.NO : Outcome.UNSURE;
    }
}
