package dipstick.core.evaluate;

import dipstick.core.criteria.Criterion;
import dipstick.core.criteria.ShouldHave;
import dipstick.core.criteria.ShouldHave.Rule;
import dipstick.core.criteria.Test;
import dipstick.core.time.Window;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;

/** The due dates of a criteria set (criteria.md section 4). */
final class DueDates {
    /** Before every day, so that never having been met counts as the earliest lapse. */
    private static final int NEVER = Integer.MIN_VALUE;

    private static final Due NEVER_MET = new Due.Never();

    private final Rule rule;
    private final List<Renewable> renewables;

    /** A criterion whose lookback lapses: {@code count} matching records within {@code period}. */
    private record Renewable(EventMatcher matcher, int count, DateMemo lapses) {}

    private final Seen seen;

    private DueDates(Rule rule, List<Renewable> renewables, Seen seen) {
        this.rule = rule;
        this.renewables = renewables;
        this.seen = seen;
    }

    /** Nothing where no criterion is renewable, so that nobody has a due date. */
    static Optional<DueDates> of(ShouldHave shouldHave, Seen seen) {
        if (shouldHave.rule() instanceof Rule.AtLeast(int count) && count == 0) {
            return Optional.empty();
        }
        List<Renewable> renewables = new ArrayList<>();
        for (Criterion criterion : shouldHave.of()) {
            if (!criterion.off()
                    && criterion.test() instanceof Test.Events(var selection, var count, var per)
                    && per == Test.Per.RECORD
                    && count.least() >= 1
                    && !count.hasMost()
                    && selection.window() instanceof Window.Last(var period)) {
                EventMatcher ever = new EventMatcher(selection.within(new Window.Ever()), seen);
                EventDates dates = seen.dates();
                DateMemo lapses = new DateMemo(dates, code -> period.lapseOf(dates.lastOf(code)));
                renewables.add(new Renewable(ever, count.least(), lapses));
            }
        }
        return renewables.isEmpty() ? Optional.empty() : Optional.of(new DueDates(shouldHave.rule(), renewables, seen));
    }

    Due of(int person) {
        int[] lapses = new int[renewables.size()];
        for (int i = 0; i < lapses.length; i++) {
            lapses[i] = lapse(renewables.get(i), renewables.get(i).matcher().ofPerson(person));
        }
        return due(lapses);
    }

    /** The due dates of those in {@code who}, at the places of their numbers. */
    Due[] of(BitSet who) {
        int people = seen.population().size();
        Due[] dues = new Due[people];
        PeopleRange.forEach(people, range -> {
            List<Gathering> gathered = renewables.stream()
                    .map(renewable -> Gathering.of(
                            renewable.matcher(), range, seen.population().events(), who::get))
                    .toList();
            Matches matches = new Matches();
            int[] lapses = new int[renewables.size()];
            for (int person = who.nextSetBit(range.first());
                    person >= 0 && person < range.end();
                    person = who.nextSetBit(person + 1)) {
                for (int i = 0; i < lapses.length; i++) {
                    gathered.get(i).show(person, matches);
                    lapses[i] = lapse(renewables.get(i), matches);
                }
                dues[person] = due(lapses);
            }
        });
        return dues;
    }

    private Due due(int[] lapses) {
        Arrays.sort(lapses);
        int chosen = switch (rule) {
            case Rule.Any any -> lapses[lapses.length - 1];
            case Rule.All all -> lapses[0];
            case Rule.AtLeast(int count) -> lapses[Math.max(0, lapses.length - count)];
        };
        return chosen == NEVER ? NEVER_MET : new Due.On(LocalDate.ofEpochDay(chosen));
    }

    /** The first day on which the n-th latest of the certain, dated matches is no longer in the lookback. */
    private int lapse(Renewable renewable, Matches matches) {
        if (matches.certainCount() < renewable.count()) {
            return NEVER;
        }
        long[] byLastDay = new long[matches.certainCount()];
        int dated = 0;
        for (int i = 0; i < matches.size(); i++) {
            int event = matches.event(i);
            if (matches.isCertain(i) && seen.dates().isDated(event)) {
                byLastDay[dated++] = ((long) seen.dates().last(event) << 32) | event;
            }
        }
        if (dated < renewable.count()) {
            return NEVER;
        }
        Arrays.sort(byLastDay, 0, dated);
        return renewable.lapses().of((int) byLastDay[dated - renewable.count()]);
    }
}
