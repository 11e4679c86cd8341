package dipstick.core.proof;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Outcome;
import dipstick.core.Records;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.Criterion;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.explain.NearTheLine;
import dipstick.core.explain.Turn;
import dipstick.core.population.Population;
import dipstick.core.proof.NaiveEvaluator.Row;
import dipstick.core.proof.RandomRecords.Made;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.node.ObjectNode;

/** Who is near the line, and on which day they cross it, is what the naive reading of the page gives day by day. */
class NearTheLineAgreesTest {
    private static final int DOCUMENTS = 50;
    private static final int PEOPLE = 6;

    @Test
    void every_turn_is_found_and_has_a_reason() {
        int found = 0;
        for (int seed = 1; seed <= DOCUMENTS; seed++) {
            RandomCase one = RandomCase.of(seed, PEOPLE);
            LocalDate asOf = one.asOf();
            Made records = one.records();
            Population population = one.population();
            List<ObjectNode> sets = one.documents().make();
            CriteriaSet set = Records.sets(population, sets);
            Map<LocalDate, Evaluator> evaluators = new HashMap<>();
            Map<LocalDate, NaiveDocument> documents = new HashMap<>();
            Function<LocalDate, NaiveDocument> page = day -> documents.computeIfAbsent(day, at -> document(sets, at));
            NearTheLine near = new NearTheLine(
                    set, asOf, day -> evaluators.computeIfAbsent(day, at -> new Evaluator(population, at)));
            List<Turn> turns = near.ofList();
            assertThat(turns)
                    .as("seed %d", seed)
                    .containsExactlyInAnyOrderElementsOf(expected(
                            records,
                            population,
                            asOf,
                            (person, day) -> page.apply(day).list(person, records.of(person))));
            assertThat(turns).allSatisfy(turn -> assertThat(near.why(turn)).endsWith("."));
            found += turns.size();
            List<Criterion> included =
                    set.include().stream().filter(criterion -> !criterion.off()).toList();
            for (int i = 0; i < included.size(); i++) {
                int place = i;
                turns = near.of(included.get(i));
                assertThat(turns)
                        .as("seed %d, criterion %d", seed, i)
                        .containsExactlyInAnyOrderElementsOf(expected(
                                records,
                                population,
                                asOf,
                                (person, day) -> page.apply(day)
                                        .alone("include", person, records.of(person))
                                        .get(place)));
                for (Turn turn : turns) {
                    assertThat(near.why(turn, included.get(i))).endsWith(".");
                }
                found += turns.size();
            }
        }
        assertThat(found).isGreaterThan(20);
    }

    private static List<Turn> expected(
            Made records, Population population, LocalDate asOf, BiFunction<Row, LocalDate, Outcome> answer) {
        List<Turn> turns = new ArrayList<>();
        for (Row person : records.people()) {
            int number = population.find(person.cells().get("id")).orElseThrow();
            Outcome now = answer.apply(person, asOf);
            firstOther(person, now, asOf, -1, answer)
                    .ifPresent(day -> turns.add(new Turn(number, day.plusDays(1), answer.apply(person, day), now)));
            firstOther(person, now, asOf, 1, answer)
                    .ifPresent(day -> turns.add(new Turn(number, day, now, answer.apply(person, day))));
        }
        return turns;
    }

    private static Optional<LocalDate> firstOther(
            Row person, Outcome now, LocalDate asOf, int direction, BiFunction<Row, LocalDate, Outcome> answer) {
        return IntStream.rangeClosed(1, NearTheLine.DAYS)
                .mapToObj(distance -> asOf.plusDays((long) direction * distance))
                .filter(day -> answer.apply(person, day) != now)
                .findFirst();
    }

    private static NaiveDocument document(List<ObjectNode> sets, LocalDate day) {
        NaiveDocument inner = new NaiveDocument(sets.get(2), Map.of(), day);
        NaiveDocument middle = new NaiveDocument(sets.get(1), Map.of("inner", inner), day);
        return new NaiveDocument(sets.get(0), Map.of("inner", inner, "middle", middle), day);
    }
}
