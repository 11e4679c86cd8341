package dipstick.core.evaluate;

import java.util.Arrays;
import java.util.function.IntUnaryOperator;

/**
 * A day worked out from each date on record, when it is first asked for. Threads that ask for the same one at once write
 * the same number.
 */
final class DateMemo {
    private static final int NOT_YET = Integer.MIN_VALUE;

    private final EventDates dates;
    private final IntUnaryOperator ofDate;
    private final int[] days;

    /** @param ofDate the day for the place of a date in {@code dates} */
    DateMemo(EventDates dates, IntUnaryOperator ofDate) {
        this.dates = dates;
        this.ofDate = ofDate;
        this.days = new int[dates.count()];
        Arrays.fill(days, NOT_YET);
    }

    /** The day for a dated event. */
    int of(int event) {
        int code = dates.code(event);
        if (days[code] == NOT_YET) {
            days[code] = ofDate.applyAsInt(code);
        }
        return days[code];
    }
}
