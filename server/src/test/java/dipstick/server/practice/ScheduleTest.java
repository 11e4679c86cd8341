package dipstick.server.practice;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ScheduleTest {
    private static final ZoneId LISBON = ZoneId.of("Europe/Lisbon");

    private static Instant local(String time) {
        return LocalDateTime.parse(time).atZone(LISBON).toInstant();
    }

    @ParameterizedTest
    @CsvSource({
        "DAY, 1, 2026-11-23T05:59, 2026-11-22T06:00, 2026-11-23T06:00",
        "DAY, 1, 2026-11-23T06:00, 2026-11-23T06:00, 2026-11-24T06:00",
        // 23 November 2026 is a Monday.
        "WEEK, 1, 2026-11-23T05:00, 2026-11-16T06:00, 2026-11-23T06:00",
        "WEEK, 1, 2026-11-23T07:00, 2026-11-23T06:00, 2026-11-30T06:00",
        "WEEK, 1, 2026-11-29T07:00, 2026-11-23T06:00, 2026-11-30T06:00",
        "MONTH, 1, 2026-11-23T07:00, 2026-11-01T06:00, 2026-12-01T06:00",
        "MONTH, 31, 2026-11-23T07:00, 2026-10-31T06:00, 2026-11-30T06:00",
        "MONTH, 31, 2026-11-30T07:00, 2026-11-30T06:00, 2026-12-31T06:00",
        "MONTH, 30, 2026-02-28T05:00, 2026-01-30T06:00, 2026-02-28T06:00",
    })
    void the_last_time_and_the_next_are_told_in_the_practices_zone(
            Schedule.Every every, int dayOfMonth, String now, String latest, String next) {
        Schedule schedule = new Schedule(every, DayOfWeek.MONDAY, dayOfMonth, LocalTime.of(6, 0));
        assertThat(schedule.latestDue(local(now), LISBON)).contains(local(latest));
        assertThat(schedule.nextDue(local(now), LISBON)).contains(local(next));
    }

    @Test
    void a_time_that_daylight_saving_skips_is_an_hour_later_and_one_that_comes_twice_is_the_first() {
        Schedule atHalfPastOne = new Schedule(Schedule.Every.DAY, DayOfWeek.MONDAY, 1, LocalTime.of(1, 30));
        // On 29 March 2026 clocks go from 01:00 to 02:00, on 25 October from 02:00 to 01:00.
        assertThat(atHalfPastOne.nextDue(Instant.parse("2026-03-29T00:45:00Z"), LISBON))
                .contains(Instant.parse("2026-03-29T01:30:00Z"));
        assertThat(atHalfPastOne.latestDue(Instant.parse("2026-03-29T12:00:00Z"), LISBON))
                .contains(Instant.parse("2026-03-29T01:30:00Z"));
        assertThat(atHalfPastOne.latestDue(Instant.parse("2026-10-25T12:00:00Z"), LISBON))
                .contains(Instant.parse("2026-10-25T00:30:00Z"));
        assertThat(atHalfPastOne.nextDue(Instant.parse("2026-10-25T00:45:00Z"), LISBON))
                .as("not twice on that day")
                .contains(Instant.parse("2026-10-26T01:30:00Z"));
    }

    @Test
    void never_is_never() {
        Schedule never = new Schedule(Schedule.Every.NEVER, DayOfWeek.MONDAY, 1, LocalTime.NOON);
        assertThat(never.latestDue(Instant.now(), LISBON)).isEmpty();
        assertThat(never.nextDue(Instant.now(), LISBON)).isEmpty();
    }
}
