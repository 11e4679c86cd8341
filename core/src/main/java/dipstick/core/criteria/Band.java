package dipstick.core.criteria;

import dipstick.core.time.CalendarPeriod;

/** How urgent somebody on the list is. */
public record Band(String name, When when) {
    public sealed interface When {
        record Is(Test test) implements When {}

        /** What should be on record never was. */
        record NeverMet() implements When {}

        /** The due date is on or before the as-of date less the period. */
        record Overdue(CalendarPeriod by) implements When {}
    }
}
