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
}
