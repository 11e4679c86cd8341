package dipstick.core.proof;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Outcome;
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

    @ParameterizedTest
    @ValueSource(ints = {101, 102, 103})
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
                .filter(person -> {
                    String id = person.cells().get("id");
                    Outcome engine = answer.of(one.population().find(id).orElseThrow());
                    return engine
                            != naive.answer(test, person, one.records().events().get(id));
                })
                .findFirst();
    }
}
