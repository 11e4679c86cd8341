package dipstick.core.evaluate;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.population.Runs;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PeopleRangeTest {
    @ParameterizedTest
    @ValueSource(ints = {0, 1, Runs.PEOPLE - 1, Runs.PEOPLE, Runs.PEOPLE + 1, 3 * Runs.PEOPLE + 5})
    void everybody_is_in_one_range_which_is_a_block(int people) {
        List<PeopleRange> ranges = Collections.synchronizedList(new ArrayList<>());
        PeopleRange.forEach(people, ranges::add);
        assertThat(ranges.stream()
                        .flatMapToInt(range -> IntStream.range(range.first(), range.end()))
                        .sorted()
                        .toArray())
                .isEqualTo(IntStream.range(0, people).toArray());
        assertThat(ranges).allSatisfy(range -> {
            assertThat(range.first()).isEqualTo(range.block() * Runs.PEOPLE);
            assertThat(range.size()).isBetween(1, Runs.PEOPLE);
        });
        assertThat(ranges.stream().mapToInt(PeopleRange::block).sorted().toArray())
                .isEqualTo(IntStream.range(0, ranges.size()).toArray());
    }
}
