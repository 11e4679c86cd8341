package dipstick.core.proof;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Outcome;
import dipstick.core.Records;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.evaluate.Answer;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.population.Population;
import dipstick.core.proof.NaiveEvaluator.Row;
import dipstick.core.proof.RandomRecords.Made;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/**
 * The engine and the naive evaluator agree on random tests over random records. A failure is shrunk and printed with its
 * seed; {@code -Dproof.documents=N} and {@code -Dproof.seed=S} run more, or others.
 */
class EngineAgreesTest {
    private static final int DOCUMENTS = Integer.getInteger("proof.documents", 2500);
    private static final int FIRST_SEED = Integer.getInteger("proof.seed", 1);
    private static final int DOCUMENTS_A_POPULATION = 25;
    private static final int PEOPLE = 14;

    private static final Map<String, JsonNode> BY_ID = RandomDocuments.byId(RandomDocuments.TERM_SETS);

    private record Disagreement(JsonNode test, Made records, String person, Outcome engine, Outcome naive) {}

    @Test
    void on_every_construct() {
        int compared = 0;
        for (int seed = FIRST_SEED; compared < DOCUMENTS; seed++) {
            RandomCase one = RandomCase.of(seed, PEOPLE);
            LocalDate asOf = one.asOf();
            Made records = one.records();
            Population population = one.population();
            RandomTests tests = new RandomTests(one.random(), one.maker(), asOf, List.of(), List.of());
            for (int i = 0; i < DOCUMENTS_A_POPULATION; i++, compared++) {
                JsonNode test = tests.test(2);
                Optional<Disagreement> found = disagreement(test, records, population, asOf);
                if (found.isPresent()) {
                    throw new AssertionError(told(seed, asOf, shrunk(found.get(), asOf)));
                }
            }
        }
        assertThat(compared).isGreaterThanOrEqualTo(DOCUMENTS);
    }

    private static Optional<Disagreement> disagreement(
            JsonNode test, Made records, Population population, LocalDate asOf) {
        CriteriaSet set = Records.set(
                population,
                "\"termSets\": " + RandomDocuments.TERM_SETS + ", \"include\": [{\"id\": \"a\", \"test\": " + test
                        + "}]");
        Answer answer =
                new Evaluator(population, asOf).answer(set.include().getFirst().test());
        NaiveEvaluator naive = new NaiveEvaluator(asOf, BY_ID, Map.of(), Map.of());
        for (Row person : records.people()) {
            String id = person.cells().get("id");
            Outcome engine = answer.of(population.find(id).orElseThrow());
            Outcome expected = naive.answer(test, person, records.events().get(id));
            if (engine != expected) {
                return Optional.of(new Disagreement(test, records, id, engine, expected));
            }
        }
        return Optional.empty();
    }

    /** A smaller test over fewer events on which the two still disagree. */
    private static Disagreement shrunk(Disagreement found, LocalDate asOf) {
        Disagreement smallest = found;
        boolean smaller = true;
        while (smaller) {
            smaller = false;
            for (Disagreement next : simpler(smallest)) {
                Population population =
                        Records.of(next.records().peopleFile(), next.records().eventsFile());
                Optional<Disagreement> still = disagreement(next.test(), next.records(), population, asOf);
                if (still.isPresent()) {
                    smallest = still.get();
                    smaller = true;
                    break;
                }
            }
        }
        return smallest;
    }

    private static List<Disagreement> simpler(Disagreement found) {
        List<Disagreement> simpler = new ArrayList<>();
        for (String key : List.of("all", "any", "of")) {
            found.test().path(key).valueStream().forEach(part -> simpler.add(with(found, part, found.records())));
        }
        if (found.test().has("not")) {
            simpler.add(with(found, found.test().get("not"), found.records()));
        }
        List<Row> events = found.records().events().get(found.person());
        for (int without = 0; without < events.size(); without++) {
            List<Row> fewer = new ArrayList<>(events);
            fewer.remove(without);
            Map<String, List<Row>> left = new HashMap<>(Map.of(found.person(), fewer));
            List<Row> people = found.records().people().stream()
                    .filter(person -> person.cells().get("id").equals(found.person()))
                    .toList();
            simpler.add(with(found, found.test(), new Made(people, left)));
        }
        return simpler;
    }

    private static Disagreement with(Disagreement found, JsonNode test, Made records) {
        return new Disagreement(test, records, found.person(), found.engine(), found.naive());
    }

    private static String told(int seed, LocalDate asOf, Disagreement found) {
        return "Seed " + seed + ", as of " + asOf + ": the engine says " + found.engine() + ", the page "
                + found.naive() + " for " + found.person() + "\n" + found.test() + "\n"
                + found.records().people().stream()
                        .filter(person -> person.cells().get("id").equals(found.person()))
                        .toList()
                + "\n" + found.records().events().get(found.person());
    }
}
