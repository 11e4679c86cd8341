package dipstick.core.time;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.OptionalInt;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class AgeSpanTest {
    private static final int TRIALS = 20_000;

    @ParameterizedTest
    @EnumSource(AgeUnit.class)
    void agrees_with_counting_completed_units(AgeUnit unit) {
        Random random = new Random(7);
        for (int i = 0; i < TRIALS; i++) {
            LocalDate birth = LocalDate.of(1950, 1, 1).plusDays(random.nextInt(26_000));
            LocalDate day = LocalDate.of(1995, 1, 1).plusDays(random.nextInt(12_000));
            int from = random.nextInt(70);
            int through = from + random.nextInt(30);
            boolean openFrom = random.nextInt(4) == 0;
            boolean openThrough = !openFrom && random.nextInt(4) == 0;
            AgeSpan span = new AgeSpan(
                    openFrom ? OptionalInt.empty() : OptionalInt.of(from),
                    openThrough ? OptionalInt.empty() : OptionalInt.of(through),
                    unit);
            long age = chrono(unit).between(birth, day);
            boolean holds = !day.isBefore(birth) && (openFrom || age >= from) && (openThrough || age <= through);
            String which = birth + " on " + day + " " + span;

            assertThat(span.birthsOn((int) day.toEpochDay()).contains((int) birth.toEpochDay()))
                    .as(which)
                    .isEqualTo(holds);
            assertThat(span.daysOf((int) birth.toEpochDay()).contains((int) day.toEpochDay()))
                    .as(which)
                    .isEqualTo(holds);
        }
    }

    @Test
    void an_age_that_nobody_reaches_holds_on_no_day() {
        AgeSpan span = new AgeSpan(OptionalInt.of(Integer.MAX_VALUE - 1), OptionalInt.empty(), AgeUnit.YEARS);
        assertThat(span.birthsOn(20_000).isEmpty()).isTrue();
        assertThat(span.daysOf(0).isEmpty()).isTrue();
    }

    @Test
    void an_age_up_to_one_that_nobody_reaches_holds_from_birth_on() {
        AgeSpan span = new AgeSpan(OptionalInt.empty(), OptionalInt.of(Integer.MAX_VALUE - 1), AgeUnit.MONTHS);
        assertThat(span.daysOf(100)).isEqualTo(new DateRange(100, DateRange.OPEN_LAST));
    }

    private static ChronoUnit chrono(AgeUnit unit) {
        return ChronoUnit.valueOf(unit.name());
    }
}
