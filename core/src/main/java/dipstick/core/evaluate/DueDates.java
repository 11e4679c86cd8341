package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.criteria.Criterion;
import dipstick.core.criteria.ShouldHave;
import dipstick.core.criteria.ShouldHave.Rule;
import dipstick.core.criteria.Test;
import dipstick.core.time.CalendarPeriod;
import dipstick.core.time.Window;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** The due dates of a criteria set (criteria.md section 4). */
final class DueDates {
    /** Before every day, so that never having been met counts as the earliest lapse. */
    private static final int NEVER = Integer.MIN_VALUE;

    private final Rule rule;
    private final List<Renewable> renewables;

    /** A criterion whose lookback lapses: {@code count} matching records within {@code period}. */
    private record Renewable(EventMatcher everMatcher, int count, CalendarPeriod period) {}

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
                renewables.add(new Renewable(ever, count.least(), period));
            }
        }
        return renewables.isEmpty() ? Optional.empty() : Optional.of(new DueDates(shouldHave.rule(), renewables, seen));
    }

    Due of(int person) {
        int[] lapses = renewables.stream()
                .mapToInt(renewable -> lapse(person, renewable))
                .sorted()
                .toArray();
        int chosen = switch (rule) {
            case Rule.Any any -> lapses[lapses.length - 1];
            case Rule.All all -> lapses[0];
            case Rule.AtLeast(int count) -> lapses[Math.max(0, lapses.length - count)];
        };
        return chosen == NEVER ? new Due.Never() : new Due.On(LocalDate.ofEpochDay(chosen));
    }

    private int lapse(int person, Renewable renewable) {
        int[] days = lastDaysOfCertainMatches(person, renewable.everMatcher());
        return days.length < renewable.count()
                ? NEVER
                : renewable.period().lapseOf(days[days.length - renewable.count()]);
    }

    private int[] lastDaysOfCertainMatches(int person, EventMatcher matcher) {
        int start = seen.population().events().start(person);
        int end = seen.population().events().start(person + 1);
        int[] days = new int[end - start];
        int found = 0;
        for (int event = start; event < end; event++) {
            if (seen.dates().isDated(event) && matcher.match(event) == Outcome.YES) {
                days[found++] = seen.dates().last(event);
            }
        }
        int[] sorted = Arrays.copyOf(days, found);
        Arrays.sort(sorted);
        return sorted;
    }
}
