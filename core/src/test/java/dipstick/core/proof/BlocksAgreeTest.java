package dipstick.core.proof;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Records;
import dipstick.core.evaluate.Answer;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.population.Runs;
import dipstick.core.proof.NaiveEvaluator.Row;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** The engine and the naive reading of the page agree over more people than are taken together at once. */
class BlocksAgreeTest {
    private static final int PEOPLE = Runs.PEOPLE + 200;
    private static final int TESTS = 25;

    /** The naive reading takes its time, so of the first block it is asked for one of so many. */
    private static final int ASKED_EVERY = 40;

    @ParameterizedTest
    @ValueSource(ints = {101, 102})
    void on_every_construct(int seed) {
        RandomCase one = RandomCase.of(seed, PEOPLE);
        RandomTests tests = new RandomTests(one.random(), one.maker(), one.asOf(), List.of(), List.of());
        Map<String, JsonNode> terms = RandomDocuments.byId(RandomDocuments.TERM_SETS);
        for (int i = 0; i < TESTS; i++) {
            JsonNode test = tests.test(2);
            assertThat(disagreeing(one, test, terms))
                    .as("%s, as of %s", test, one.asOf())
                    .isEmpty();
        }
    }

    private static Optional<Row> disagreeing(RandomCase one, JsonNode test, Map<String, JsonNode> terms) {
        Answer answer = new Evaluator(one.population(), one.asOf())
                .answer(Records.set(
                                one.population(),
                                "\"termSets\": " + RandomDocuments.TERM_SETS
                                        + ", \"include\": [{\"id\": \"a\", \"test\": " + test + "}]")
                        .include()
                        .getFirst()
                        .test());
        NaiveEvaluator naive = new NaiveEvaluator(one.asOf(), terms, Map.of(), Map.of());
        return one.records().people().stream()
                .filter(person -> isAsked(number(one, person)))
                .filter(person -> {
                    List<Row> events = one.records().events().get(person.cells().get("id"));
                    return answer.of(number(one, person)) != naive.answer(test, person, events);
                })
                .findFirst();
    }

    private static boolean isAsked(int person) {
        return person >= Runs.PEOPLE || person % ASKED_EVERY == 0;
    }

    private static int number(RandomCase one, Row person) {
        return one.population().find(person.cells().get("id")).orElseThrow();
    }
}
