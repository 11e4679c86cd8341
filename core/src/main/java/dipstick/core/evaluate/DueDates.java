package dipstick.core.evaluate;

import dipstick.core.criteria.Criterion;
import dipstick.core.criteria.ShouldHave;
import dipstick.core.criteria.ShouldHave.Rule;
import dipstick.core.criteria.Test;
import dipstick.core.population.Events;
import dipstick.core.time.Window;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;

/** The due dates of a criteria set (criteria.md section 4), as days; for everybody in a column of numbers. */
final class DueDates {
    /** Before every day, so that never having been met counts as the earliest lapse. */
    static final int NEVER = Integer.MIN_VALUE;

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

    /** What a day, or {@link #NEVER}, says. */
    static Due due(int day) {
        return day == NEVER ? NEVER_MET : new Due.On(LocalDate.ofEpochDay(day));
    }

    int of(int person) {
        int[] lapses = new int[renewables.size()];
        for (int i = 0; i < lapses.length; i++) {
            lapses[i] = lapse(renewables.get(i), renewables.get(i).matcher().ofPerson(person));
        }
        return chosen(lapses);
    }

    /** The days of those in {@code who}, at the places of their numbers. */
    int[] of(BitSet who) {
        int people = seen.population().size();
        int[] days = new int[people];
        PeopleRange.forEach(people, range -> {
            int[][] each = renewables.stream()
                    .map(renewable ->
                            renewable.count() == 1 ? latest(renewable, range) : nthLatest(renewable, range, who))
                    .toArray(int[][]::new);
            int[] lapses = new int[each.length];
            for (int person = who.nextSetBit(range.first());
                    person >= 0 && person < range.end();
                    person = who.nextSetBit(person + 1)) {
                for (int i = 0; i < lapses.length; i++) {
                    lapses[i] = each[i][person - range.first()];
                }
                days[person] = chosen(lapses);
            }
        });
        return days;
    }

    /** A later record never lapses earlier, so of the lapses of all records the latest counts, in whatever order they are. */
    private int[] latest(Renewable renewable, PeopleRange range) {
        Events events = seen.population().events();
        int[] lapses = new int[range.size()];
        Arrays.fill(lapses, NEVER);
        renewable.matcher().forEachRow(range, (marked, count) -> {
            for (int i = 0; i < count; i++) {
                int event = marked[i];
                if (event >= 0 && seen.dates().isDated(event)) {
                    int place = events.owner(event) - range.first();
                    lapses[place] = Math.max(lapses[place], renewable.lapses().of(event));
                }
            }
        });
        return lapses;
    }

    private int[] nthLatest(Renewable renewable, PeopleRange range, BitSet who) {
        Gathering gathered = Gathering.of(renewable.matcher(), range, who::get);
        int[] lapses = new int[range.size()];
        Matches matches = new Matches();
        for (int person = range.first(); person < range.end(); person++) {
            gathered.show(person, matches);
            lapses[person - range.first()] = lapse(renewable, matches);
        }
        return lapses;
    }

    private int chosen(int[] lapses) {
        if (lapses.length == 1) {
            return lapses[0];
        }
        Arrays.sort(lapses);
        return switch (rule) {
            case Rule.Any any -> lapses[lapses.length - 1];
            case Rule.All all -> lapses[0];
            case Rule.AtLeast(int count) -> lapses[Math.max(0, lapses.length - count)];
        };
    }

    /** The first day on which the n-th latest of the certain, dated matches is no longer in the lookback. */
    private int lapse(Renewable renewable, Matches matches) {
        if (matches.certainCount() < renewable.count()) {
            return NEVER;
        }
        int[] each = new int[matches.certainCount()];
        int dated = 0;
        for (int i = 0; i < matches.size(); i++) {
            int event = matches.event(i);
            if (matches.isCertain(i) && seen.dates().isDated(event)) {
                each[dated++] = renewable.lapses().of(event);
            }
        }
        if (dated < renewable.count()) {
            return NEVER;
        }
        Arrays.sort(each, 0, dated);
        return each[dated - renewable.count()];
    }
}
