package dipstick.core.proof;

import dipstick.core.Outcome;
import java.util.List;
import java.util.function.Predicate;

/** Kleene's logic, spelled out. */
final class NaiveLogic {
    private NaiveLogic() {}

    static Outcome not(Outcome one) {
        return one == Outcome.UNSURE ? one : one == Outcome.YES ? Outcome.NO : Outcome.YES;
    }

    static Outcome and(Outcome one, Outcome other) {
        if (one == Outcome.NO || other == Outcome.NO) {
            return Outcome.NO;
        }
        return one == Outcome.YES && other == Outcome.YES ? Outcome.YES : Outcome.UNSURE;
    }

    static int count(List<Outcome> outcomes, Predicate<Outcome> which) {
        return (int) outcomes.stream().filter(which).count();
    }

    static Outcome atLeast(int n, int low, int high) {
        return low >= n ? Outcome.YES : high < n ? Outcome.NO : Outcome.UNSURE;
    }
}
