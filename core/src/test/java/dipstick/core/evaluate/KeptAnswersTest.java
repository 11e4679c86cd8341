package dipstick.core.evaluate;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Records;
import dipstick.core.criteria.Criterion;
import dipstick.core.population.Population;
import java.util.BitSet;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class KeptAnswersTest {
    private static final int TESTS = 30;

    private final Population people = Records.of("id,birth_date\np1,1950-02-03\np2,1990-12-31\n", "person_id,kind\n");
    private final List<dipstick.core.criteria.Test> tests = Records.set(
                    people,
                    "'include': ["
                            + String.join(
                                    ", ",
                                    IntStream.range(0, TESTS)
                                            .mapToObj(age -> "{'id': 'a" + age + "', 'test': {'age': {'from': "
                                                    + (age + 30) + "}}}")
                                            .toList())
                            + "]")
            .include()
            .stream()
            .map(Criterion::test)
            .toList();

    @Test
    void those_that_were_not_asked_for_longest_make_way() {
        KeptAnswers kept = new KeptAnswers(3_000);
        Evaluator evaluator = new Evaluator(people, Records.TODAY, kept);

        tests.forEach(evaluator::answer);
        assertThat(kept.figures().bytes()).isBetween(1_500L, 3_000L);
        assertThat(kept.figures().workedOut()).isEqualTo(TESTS);

        evaluator.answer(tests.getLast());
        evaluator.answer(tests.getFirst());
        assertThat(kept.figures().found()).isEqualTo(1);
        assertThat(kept.figures().workedOut()).isEqualTo(TESTS + 1);
    }

    @Test
    void evaluators_share_the_room_and_not_the_answers() {
        KeptAnswers kept = new KeptAnswers(1_000_000);
        Evaluator today = new Evaluator(people, Records.TODAY, kept);
        Evaluator longAgo = new Evaluator(people, Records.TODAY.minusYears(60), kept);

        Answer now = today.answer(tests.getFirst());
        Answer then = longAgo.answer(tests.getFirst());

        assertThat(now.yes()).isNotEqualTo(then.yes());
        assertThat(kept.figures().answers()).isEqualTo(2);
        longAgo.forget();
        assertThat(kept.figures().answers()).isEqualTo(1);
        assertThat(today.answer(tests.getFirst())).isEqualTo(now);
        assertThat(kept.figures().found()).isEqualTo(1);
    }

    @Test
    void forgotten_answers_are_worked_out_again() {
        KeptAnswers none = new KeptAnswers(0);
        Evaluator evaluator = new Evaluator(people, Records.TODAY, none);

        BitSet first = evaluator.answer(tests.getFirst()).yes();

        assertThat(none.figures().bytes()).isZero();
        assertThat(evaluator.answer(tests.getFirst()).yes()).isEqualTo(first);
    }
}
