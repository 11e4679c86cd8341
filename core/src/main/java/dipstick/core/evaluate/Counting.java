package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.criteria.Count;
import dipstick.core.criteria.Test.Per;
import dipstick.core.population.Codes;
import java.util.HashSet;
import java.util.Set;

/** Counts matching events, their different days or their different codes (criteria.md section 3, events). */
record Counting(Count count, Per per, Seen seen) implements EventKernel {
    @Override
    public Outcome answer(Matches matches) {
        return switch (per) {
            case RECORD -> count.answer(matches.certainCount(), matches.size());
            case DAY, CODE -> ofDifferent(matches);
        };
    }

    private Outcome ofDifferent(Matches matches) {
        Set<Integer> certain = new HashSet<>();
        Set<Integer> possible = new HashSet<>();
        int inexact = 0;
        for (int i = 0; i < matches.size(); i++) {
            int event = matches.event(i);
            if (!isExact(event)) {
                inexact++;
                continue;
            }
            possible.add(key(event));
            if (matches.isCertain(i)) {
                certain.add(key(event));
            }
        }
        int low = Math.max(certain.size(), Math.min(1, matches.certainCount()));
        return count.answer(low, possible.size() + inexact);
    }

    private boolean isExact(int event) {
        return per == Per.DAY ? seen.dates().isExact(event) : codeOf(event) != Codes.MISSING;
    }

    private int key(int event) {
        return per == Per.DAY ? seen.dates().first(event) : codeOf(event);
    }

    private int codeOf(int event) {
        return seen.population().events().code().codes().get(event);
    }
}
