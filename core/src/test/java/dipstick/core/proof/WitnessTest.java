package dipstick.core.proof;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Outcome;
import dipstick.core.Records;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.explain.Explainer;
import dipstick.core.explain.Reason;
import dipstick.core.population.Column;
import dipstick.core.population.Population;
import dipstick.core.proof.NaiveEvaluator.Row;
import dipstick.core.proof.RandomRecords.Made;
import dipstick.core.records.Fields;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The witness of a reason is checked against the naive evaluator: with these records alone the answer is the same, and
 * where some number of records is asked for and there, without them there are not enough.
 */
class WitnessTest {
    private static final int POPULATIONS = 40;
    private static final int TESTS_A_POPULATION = 12;
    private static final int PEOPLE = 10;

    private record Case(JsonNode test, LocalDate asOf, Row person, List<Row> events, Set<String> witness) {
        Outcome answer(Predicate<String> kept) {
            List<Row> some = events.stream()
                    .filter(event -> kept.test(event.cells().get("id")))
                    .toList();
            return new NaiveEvaluator(asOf, RandomDocuments.byId(RandomDocuments.TERM_SETS), Map.of(), Map.of())
                    .answer(test, person, some);
        }
    }

    @Test
    void alone_it_yields_the_outcome_and_without_it_enough_are_not_there() {
        int removed = 0;
        for (int seed = 1; seed <= POPULATIONS; seed++) {
            RandomCase one = RandomCase.of(seed, PEOPLE);
            LocalDate asOf = one.asOf();
            Made records = one.records();
            Population population = one.population();
            RandomTests tests = new RandomTests(one.random(), one.maker(), asOf, List.of(), List.of());
            for (int i = 0; i < TESTS_A_POPULATION; i++) {
                removed += check(tests.test(1), asOf, records, population, seed);
            }
        }
        assertThat(removed).as("times that a witness was taken away").isGreaterThan(100);
    }

    private static int check(ObjectNode test, LocalDate asOf, Made records, Population population, int seed) {
        CriteriaSet set = Records.set(
                population,
                "\"termSets\": " + RandomDocuments.TERM_SETS + ", \"include\": [{\"id\": \"a\", \"test\": " + test
                        + "}]");
        Evaluator evaluator = new Evaluator(population, asOf);
        int removed = 0;
        for (Row person : records.people()) {
            String id = person.cells().get("id");
            int number = population.find(id).orElseThrow();
            Reason reason = new Explainer(evaluator, number)
                    .explain(set.include().getFirst().test());
            Case one = new Case(test, asOf, person, records.events().get(id), ids(reason, population));
            assertThat(one.answer(one.witness()::contains))
                    .as("seed %d, with the witness alone: %s", seed, one)
                    .isEqualTo(reason.outcome());
            if (reason.outcome() == Outcome.YES && asksForSome(test)) {
                removed++;
                assertThat(one.answer(event -> !one.witness().contains(event)))
                        .as("seed %d, without the witness: %s", seed, one)
                        .isNotEqualTo(Outcome.YES);
            }
        }
        return removed;
    }

    private static boolean asksForSome(JsonNode test) {
        JsonNode count = test.path("count");
        return test.has("events")
                && (count.isMissingNode() || count.path("atLeast").asInt(0) > 0);
    }

    private static Set<String> ids(Reason reason, Population population) {
        Column.OfText ids = (Column.OfText)
                population.events().column(Fields.EVENT.find("id").orElseThrow());
        return reason.wholeWitness().map(ids::writtenAt).collect(Collectors.toSet());
    }
}
