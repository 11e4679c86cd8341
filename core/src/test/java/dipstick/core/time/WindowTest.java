package dipstick.core.time;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Outcome;
import dipstick.core.time.Window.CalendarUnit;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WindowTest {
    private static final LocalDate SUNDAY = LocalDate.of(2026, 8, 30);

    @ParameterizedTest
    @CsvSource({"YEAR, 2026-01-01", "QUARTER, 2026-07-01", "MONTH, 2026-08-01", "WEEK, 2026-08-24"})
    void reaches_back_to_the_start_of_a_calendar_unit(CalendarUnit unit, LocalDate first) {
        assertThat(new Window.SinceStartOf(unit).daysAsOf(SUNDAY)).isEqualTo(DateRange.between(first, SUNDAY));
    }

    @Test
    void both_ends_and_today_are_inside() {
        CalendarPeriod year = CalendarPeriod.parse("P1Y").orElseThrow();
        assertThat(new Window.Last(year).daysAsOf(SUNDAY)).isEqualTo(DateRange.between(SUNDAY.minusYears(1), SUNDAY));
        assertThat(new Window.Next(year).daysAsOf(SUNDAY)).isEqualTo(DateRange.between(SUNDAY, SUNDAY.plusYears(1)));
    }

    @ParameterizedTest
    @CsvSource({
        "5, 5, 1, 9, YES",
        "1, 9, 1, 9, YES",
        "0, 5, 1, 9, UNSURE",
        "5, 12, 1, 9, UNSURE",
        "0, 12, 1, 9, UNSURE",
        "10, 12, 1, 9, NO",
        "0, 12, 9, 1, NO",
    })
    void a_date_lies_in_a_window_wholly_perhaps_or_not(int first, int last, int lo, int hi, Outcome outcome) {
        assertThat(new DateRange(first, last).liesIn(new DateRange(lo, hi))).isEqualTo(outcome);
    }

    @Test
    void only_a_date_that_has_begun_is_clipped() {
        assertThat(new DateRange(10, 20).clippedTo(15)).isEqualTo(new DateRange(10, 15));
        assertThat(new DateRange(10, 20).clippedTo(10)).isEqualTo(new DateRange(10, 10));
        assertThat(new DateRange(10, 20).clippedTo(9)).isEqualTo(new DateRange(10, 20));
        assertThat(new DateRange(10, 20).clippedTo(25)).isEqualTo(new DateRange(10, 20));
    }
}
