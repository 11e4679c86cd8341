package dipstick.server.outreach.desk;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Comparator;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The first few are those that would be first if all were sorted. */
class FirstTest {
    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 7, 99, 100, 1000})
    void as_if_all_were_sorted(int most) {
        SplittableRandom chance = new SplittableRandom(most);
        List<Integer> all = chance.ints(100, 0, 40).boxed().toList();
        assertThat(First.of(most, all.stream(), Comparator.<Integer>reverseOrder()))
                .containsExactlyElementsOf(all.stream()
                        .sorted(Comparator.reverseOrder())
                        .limit(most)
                        .toList());
    }
}
