package dipstick.core.evaluate;

import dipstick.core.criteria.Test;
import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import java.time.LocalDate;
import java.util.BitSet;
import java.util.Optional;
import java.util.OptionalInt;

/** Gathers what a criterion finds among people's records (criteria.md section 4). */
final class Finding {
    private final Test.Events test;
    private final Seen seen;
    private final Column.OfNumber values;

    Finding(Test.Events test, Seen seen) {
        this.test = test;
        this.seen = seen;
        this.values = seen.population().events().value();
    }

    /** By the numbers of those in {@code who}; nothing at the others'. */
    Found[] of(BitSet who) {
        int people = seen.population().size();
        Found[] found = new Found[people];
        EventMatcher matcher = new EventMatcher(test.events(), seen);
        PeopleRange.forEach(people, range -> {
            Gathering gathered = Gathering.of(matcher, range, who::get);
            Counting counting = new Counting(test.count(), test.per(), seen);
            Matches matches = new Matches();
            for (int person = who.nextSetBit(range.first());
                    person >= 0 && person < range.end();
                    person = who.nextSetBit(person + 1)) {
                if (gathered.isEmpty(person)) {
                    found[person] = Found.NOTHING;
                } else {
                    gathered.show(person, matches);
                    found[person] = of(matches, counting.low(matches));
                }
            }
        });
        return found;
    }

    private Found of(Matches matches, int count) {
        int latest = -1;
        int earliest = Integer.MAX_VALUE;
        for (int i = 0; i < matches.size(); i++) {
            int event = matches.event(i);
            if (matches.isCertain(i) && seen.dates().isDated(event)) {
                earliest = Math.min(earliest, seen.dates().first(event));
                latest = latest < 0 || isLater(event, latest) ? event : latest;
            }
        }
        return latest < 0
                ? new Found(count, Optional.empty(), Optional.empty(), OptionalInt.empty())
                : new Found(
                        count,
                        Optional.of(LocalDate.ofEpochDay(seen.dates().last(latest))),
                        Optional.of(LocalDate.ofEpochDay(earliest)),
                        OptionalInt.of(latest));
    }

    /** Of two that end on one day the one with the later first day, then the one with a value, then with the higher. */
    private boolean isLater(int event, int other) {
        int byLast = Integer.compare(seen.dates().last(event), seen.dates().last(other));
        int byFirst = byLast != 0
                ? byLast
                : Integer.compare(seen.dates().first(event), seen.dates().first(other));
        return byFirst != 0 ? byFirst > 0 : value(event) > value(other);
    }

    private double value(int event) {
        int code = values.codes().get(event);
        return code == Codes.MISSING
                ? Double.NEGATIVE_INFINITY
                : values.numbers().get(code);
    }
}
