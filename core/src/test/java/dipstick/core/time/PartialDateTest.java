package dipstick.core.time;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneId;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PartialDateTest {
    private static final ZoneId LISBON = ZoneId.of("Europe/Lisbon");

    @ParameterizedTest
    @CsvSource({
        "2024, 2024-01-01, 2024-12-31",
        "2024-02, 2024-02-01, 2024-02-29",
        "2024-05-17, 2024-05-17, 2024-05-17",
        "2024-05-17T23:59, 2024-05-17, 2024-05-17",
        "2024-05-17T23:30:00Z, 2024-05-18, 2024-05-18",
        "2024-01-17T23:30:00Z, 2024-01-17, 2024-01-17",
        "2024-05-17T00:15:00+09:00, 2024-05-16, 2024-05-16",
        "2024-05-17T12:00:00.500+0100, 2024-05-17, 2024-05-17",
        "2024-05-17T00:15-05, 2024-05-17, 2024-05-17",
    })
    void is_a_range_of_days(String written, LocalDate first, LocalDate last) {
        assertThat(PartialDate.parse(written, LISBON)).contains(DateRange.between(first, last));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "2026-02-31",
                "2026-13",
                "26-01-01",
                "2026-1-1",
                "17.05.2024",
                "2026-02-29",
                "2024-05-17 10:30",
                "2024-05-17T25:00",
                "yesterday",
                ""
            })
    void is_nothing_where_there_is_no_such_day(String written) {
        assertThat(PartialDate.parse(written, LISBON)).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"2026", "2026-09", "2026-09-01T10:00"})
    void is_no_full_day_where_it_is_partial_or_has_a_time(String written) {
        assertThat(PartialDate.parseDay(written)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "2026-01-01, 2026-12-31, 2026",
        "0987-01-01, 0987-12-31, 0987",
        "2026-02-01, 2026-02-28, 2026-02",
        "2024-02-01, 2024-02-28, 2024-02-01",
        "2026-01-01, 2026-01-31, 2026-01",
        "2026-01-01, 2026-12-30, 2026-01-01",
        "2026-01-02, 2027-01-01, 2026-01-02",
        "2026-03-05, 2026-03-31, 2026-03-05",
        "2026-05-17, 2026-05-17, 2026-05-17"
    })
    void is_written_as_short_as_it_was(LocalDate first, LocalDate last, String written) {
        assertThat(PartialDate.written(DateRange.between(first, last))).isEqualTo(written);
    }
}
