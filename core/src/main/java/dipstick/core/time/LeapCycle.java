package dipstick.core.time;

import java.time.LocalDate;
import java.util.stream.Stream;

/** Four years in a row, in which every length of month and every position of the leap day occurs. */
final class LeapCycle {
    private static final LocalDate START = LocalDate.of(2023, 1, 1);

    private LeapCycle() {}

    static Stream<LocalDate> days() {
        return START.datesUntil(START.plusYears(4));
    }
}
