package dipstick.core.time;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CalendarPeriodTest {
    @ParameterizedTest
    @ValueSource(strings = {"P6M", "P1Y", "P2W", "P10D", "P1Y2M3W4D", "P0D", "p6m"})
    void reads_periods_without_a_time_part(String written) {
        assertThat(CalendarPeriod.parse(written)).isPresent();
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "P", "6M", "P-1Y", "-P1Y", "P1D2M", "PT5H", "P1.5Y", "P10000Y", "P99999999999999M"})
    void refuses_everything_else(String written) {
        assertThat(CalendarPeriod.parse(written)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "2026-08-31, P6M, 2026-02-28",
        "2024-08-31, P6M, 2024-02-29",
        "2026-03-31, P1M1D, 2026-02-27",
        "2026-11-23, P12M, 2025-11-23",
        "2026-11-23, P1W, 2026-11-16",
        "2024-02-29, P1Y, 2023-02-28",
    })
    void subtracts_months_first_and_stops_at_the_end_of_the_month(LocalDate day, String period, LocalDate before) {
        assertThat(period(period).before(day)).isEqualTo(before);
    }

    @ParameterizedTest
    @CsvSource({"2026-01-31, P1M, 2026-02-28", "2026-01-31, P1M1D, 2026-03-01", "2026-11-23, P1Y, 2027-11-23"})
    void adds_likewise(LocalDate day, String period, LocalDate after) {
        assertThat(period(period).after(day)).isEqualTo(after);
    }

    @ParameterizedTest
    @CsvSource({
        "P9999Y, false",
        "P9999Y1M, true",
        "P119988M, false",
        "P119989M, true",
        "P3659634D, false",
        "P3659635D, true",
        "P522805W, true",
        "' P10000Y ', true",
        "P999999999Y, true",
        "P9999999999Y, true",
        "P6M, false",
        "six months, false"
    })
    void a_period_is_too_long_where_no_four_figures_write_its_years(String written, boolean tooLong) {
        assertThat(CalendarPeriod.isTooLong(written)).isEqualTo(tooLong);
        assertThat(CalendarPeriod.parse(written).isEmpty()).isEqualTo(tooLong || written.contains(" months"));
    }

    @Test
    void counts_days_as_the_calendar_does() {
        LocalDate day = LocalDate.of(2026, 8, 31);
        CalendarPeriod halfAYear = period("P6M1D");
        assertThat(halfAYear.before((int) day.toEpochDay()))
                .isEqualTo((int) halfAYear.before(day).toEpochDay())
                .isEqualTo((int) LocalDate.of(2026, 2, 27).toEpochDay());
        assertThat(halfAYear.after((int) day.toEpochDay()))
                .isEqualTo((int) LocalDate.of(2027, 3, 1).toEpochDay());
    }

    @Test
    void lapses_on_the_first_day_whose_lookback_no_longer_holds_the_day() {
        for (String written : new String[] {"P6M", "P12M", "P1M1D", "P3W", "P2Y", "P0D"}) {
            CalendarPeriod period = period(written);
            LocalDate.of(2023, 12, 1).datesUntil(LocalDate.of(2025, 3, 5)).forEach(day -> {
                LocalDate lapse = LocalDate.ofEpochDay(period.lapseOf((int) day.toEpochDay()));
                assertThat(period.before(lapse)).as("%s from %s", written, day).isAfter(day);
                assertThat(period.before(lapse.minusDays(1))).isBeforeOrEqualTo(day);
            });
        }
    }

    @Test
    void knows_which_of_two_periods_is_always_the_shorter() {
        assertThat(period("P3Y").isAlwaysShorterThan(period("P10Y"))).isTrue();
        assertThat(period("P27D").isAlwaysShorterThan(period("P1M"))).isTrue();
        assertThat(period("P30D").isAlwaysShorterThan(period("P1M"))).isFalse();
        assertThat(period("P1M").isAlwaysShorterThan(period("P1M"))).isFalse();
    }

    private static CalendarPeriod period(String written) {
        return CalendarPeriod.parse(written).orElseThrow();
    }
}
