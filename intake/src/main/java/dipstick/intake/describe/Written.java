package dipstick.intake.describe;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How a file writes dates and numbers. ISO 8601 dates are read whatever is said here.
 *
 * @param dates whether the day or the month comes first in a date of figures
 * @param turningYear the last two-digit year of this century, 1 to 99: with 29, 29 is 2029 and 30 is 1930; 0 for that
 * @param decimal what stands before the fraction of a number
 * @param empty words that say that nothing is known, compared as text is
 */
public record Written(DateOrder dates, int turningYear, Decimal decimal, List<String> empty) {
    private static final int TURNING = 29;

    public static final Written AS_ISO = new Written(DateOrder.OPEN, TURNING, Decimal.POINT, List.of());

    public Written(
            @Nullable DateOrder dates, int turningYear, @Nullable Decimal decimal, @Nullable List<String> empty) {
        this.dates = dates == null ? DateOrder.OPEN : dates;
        this.turningYear = turningYear == 0 ? TURNING : turningYear;
        this.decimal = decimal == null ? Decimal.POINT : decimal;
        this.empty = empty == null ? List.of() : List.copyOf(empty);
    }

    /** The same where somebody says which comes first in a date. */
    public Written with(DateOrder order) {
        return new Written(order, turningYear, decimal, empty);
    }

    public enum DateOrder {
        DAY_FIRST,
        MONTH_FIRST,
        /** A date that could be either way is not read. */
        OPEN
    }

    public enum Decimal {
        POINT,
        COMMA
    }
}
