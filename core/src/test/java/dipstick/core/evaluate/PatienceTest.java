package dipstick.core.evaluate;

import static dipstick.core.Records.TODAY;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dipstick.core.Records;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.population.Population;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Work that nobody waits for any more is stopped, and does no harm to what is asked next. */
class PatienceTest {
    /** More than one range of them, so that several threads work. */
    private static final int PEOPLE = 40_000;

    private static Population many() {
        String people = IntStream.range(0, PEOPLE)
                .mapToObj(number -> "p" + number + "," + (1900 + number % 120) + "-01-01")
                .collect(Collectors.joining("\n", "id,birth_date\n", "\n"));
        return Records.of(people, "id,person_id,kind,on\n,p1,visit,2026-01-01\n,p20000,visit,2019\n");
    }

    @Test
    void it_is_stopped_wherever_it_is_and_asked_again_the_answer_is_the_same() {
        Population records = many();
        CriteriaSet set = Records.set(records, """
                "include": [{"id": "a", "test": {"age": {"from": 18}}},
                            {"id": "b", "test": {"not": {"events": {"kinds": ["note"], "window": {"ever": true}}}}}],
                "shouldHave": {"rule": "any", "of": [{"id": "c", "test": {"events": {"kinds": ["visit"],
                    "window": {"last": "P12M"}}}}]}
                """);
        Reading whole = new Evaluator(records, TODAY).read(set);
        Evaluator evaluator = new Evaluator(records, TODAY);
        int stopped = 0;
        for (int looks = 0; looks < 40; looks++) {
            AtomicInteger left = new AtomicInteger(looks);
            try {
                Reading read = Patience.within(() -> left.getAndDecrement() <= 0, () -> evaluator.read(set));
                assertThat(read.list()).isEqualTo(whole.list());
            } catch (Patience.Over over) {
                stopped++;
            }
        }
        assertThat(stopped).isBetween(1, 39);
        assertThat(evaluator.read(set).list()).isEqualTo(whole.list());
        assertThatThrownBy(() -> Patience.within(() -> true, () -> evaluator.read(set)))
                .isInstanceOf(Patience.Over.class);
    }

    @Test
    void without_any_it_is_endless() {
        Patience.here().check();
        assertThat(Patience.within(() -> false, () -> "done")).isEqualTo("done");
    }
}
