package dipstick.core.criteria;

import dipstick.core.time.DateRange;
import dipstick.core.time.Window;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What a field's value should be (criteria.md section 3, person field).
 * On a missing value every condition but {@link Missing} is can't tell.
 */
public sealed interface Condition {
    record TextIn(Set<ComparedText> texts, boolean negated) implements Condition {
        public TextIn {
            texts = Set.copyOf(texts);
        }
    }

    record TextStartsWith(ComparedText start) implements Condition {}

    record TextContains(ComparedText part) implements Condition {}

    record NumberIn(Set<Double> numbers, boolean negated) implements Condition {
        public NumberIn {
            numbers = Set.copyOf(numbers);
        }
    }

    record NumberBounds(Optional<Bound> lower, Optional<Bound> upper) implements Condition {
        public boolean holds(double number) {
            return lower.map(bound -> number > bound.value() || (bound.inside() && number == bound.value()))
                            .orElse(true)
                    && upper.map(bound -> number < bound.value() || (bound.inside() && number == bound.value()))
                            .orElse(true);
        }
    }

    /** One end of an interval of numbers, itself inside or not. */
    record Bound(double value, boolean inside) {}

    /** Any day of these ranges. */
    record DateIn(List<DateRange> days, boolean negated) implements Condition {
        public DateIn {
            days = List.copyOf(days);
        }
    }

    /** From a day through a day; an end that is not given is open. */
    record DateBounds(DateRange days) implements Condition {}

    record DateInWindow(Window window) implements Condition {}

    record FlagIs(boolean flag) implements Condition {}

    record Missing(boolean missing) implements Condition {}
}
