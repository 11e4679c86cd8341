package dipstick.core.time;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.OptionalInt;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

/** What the distance from a birth is taken to say is what the calendar says. */
class AgeDistanceTest {
    private static final int TRIES = 200_000;
    private static final List<AgeUnit> UNITS = List.of(AgeUnit.values());

    @Test
    void the_calendar_agrees_wherever_the_distance_is_sure() {
        SplittableRandom random = new SplittableRandom(7);
        int sure = 0;
        for (int i = 0; i < TRIES; i++) {
            AgeUnit unit = UNITS.get(random.nextInt(UNITS.size()));
            int from = random.nextInt(1 << random.nextInt(1, 11));
            AgeSpan ages = new AgeSpan(
                    random.nextInt(4) == 0 ? OptionalInt.empty() : OptionalInt.of(from),
                    random.nextInt(4) == 0 ? OptionalInt.empty() : OptionalInt.of(from + random.nextInt(40)),
                    unit);
            int birth = random.nextInt(-60_000, 60_000);
            DateRange inside = ages.daysOf(birth);
            int near = random.nextBoolean() || inside.last() == DateRange.OPEN_LAST ? inside.first() : inside.last();
            int first = near + random.nextInt(-12, 12);
            int last = first + random.nextInt(3);
            boolean out = ages.distance().isSurelyOutside((long) first - birth, (long) last - birth);
            boolean in = ages.distance().isSurelyInside((long) first - birth, (long) last - birth);
            sure += out || in ? 1 : 0;
            if (out) {
                assertThat(last < inside.first() || first > inside.last())
                        .as("%s", ages)
                        .isTrue();
            }
            if (in) {
                assertThat(inside.first() <= first && last <= inside.last())
                        .as("%s", ages)
                        .isTrue();
            }
        }
        assertThat(sure).isGreaterThan(TRIES / 10);
    }

    @Test
    void the_days_on_the_line_are_neither_surely_inside_nor_surely_outside() {
        AgeSpan.Distance distance = new AgeSpan.Distance(10, 20, 30, 40);
        assertThat(distance.isSurelyOutside(0, 9)).isTrue();
        assertThat(distance.isSurelyOutside(0, 10)).isFalse();
        assertThat(distance.isSurelyOutside(40, 99)).isFalse();
        assertThat(distance.isSurelyOutside(41, 99)).isTrue();
        assertThat(distance.isSurelyInside(20, 30)).isTrue();
        assertThat(distance.isSurelyInside(19, 30)).isFalse();
        assertThat(distance.isSurelyInside(20, 31)).isFalse();
    }

    @Test
    void an_age_that_nobody_reaches_is_outside_at_any_distance_and_one_up_to_it_has_no_end() {
        AgeSpan never = new AgeSpan(OptionalInt.of(4_000_000), OptionalInt.empty(), AgeUnit.DAYS);
        assertThat(never.distance().isSurelyOutside(0, Long.MAX_VALUE - 1)).isTrue();
        assertThat(never.distance().isSurelyInside(3_999_999, 4_000_001)).isFalse();
        AgeSpan always = new AgeSpan(OptionalInt.empty(), OptionalInt.of(4_000_000), AgeUnit.DAYS);
        assertThat(always.distance().isSurelyInside(0, 5_000_000)).isTrue();
        assertThat(always.daysOf(7)).isEqualTo(new DateRange(7, DateRange.OPEN_LAST));
        assertThat(always.birthsOn(7)).isEqualTo(new DateRange(DateRange.OPEN_FIRST, 7));
        AgeSpan last = new AgeSpan(OptionalInt.of(3_999_999), OptionalInt.of(3_999_999), AgeUnit.DAYS);
        assertThat(last.daysOf(0)).isEqualTo(new DateRange(3_999_999, 3_999_999));
    }
}
