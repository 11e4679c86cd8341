package dipstick.core.proof;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Outcome;
import dipstick.core.Records;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.evaluate.Answer;
import dipstick.core.evaluate.Due;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Level;
import dipstick.core.evaluate.ListMember;
import dipstick.core.evaluate.Reading;
import dipstick.core.population.Population;
import dipstick.core.proof.NaiveEvaluator.Row;
import dipstick.core.proof.RandomRecords.Made;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The engine and the naive reading of the page agree on whole documents with other sets, rosters, dials, bands and due
 * dates, for everybody and at every level. {@code -Dproof.documents=N} and {@code -Dproof.seed=S} run more, or others.
 */
class DocumentsAgreeTest {
    private static final int DOCUMENTS = Integer.getInteger("proof.documents", 600);
    private static final int FIRST_SEED = Integer.getInteger("proof.seed", 1);
    private static final int DOCUMENTS_A_POPULATION = 10;
    private static final int PEOPLE = 12;

    @Test
    void on_whole_documents() {
        int compared = 0;
        for (int seed = FIRST_SEED; compared < DOCUMENTS; seed++) {
            RandomCase one = RandomCase.of(seed, PEOPLE);
            LocalDate asOf = one.asOf();
            Made records = one.records();
            Population population = one.population();
            RandomDocuments documents = one.documents();
            for (int i = 0; i < DOCUMENTS_A_POPULATION; i++, compared++) {
                List<ObjectNode> sets = documents.make();
                if (!agree(sets, population, records, asOf)) {
                    Case small = shrunk(new Case(sets, records), asOf);
                    assertThat(ofEngine(small.sets(), small.population(), small.records(), asOf))
                            .as("seed %d, as of %s: %s over %s", seed, asOf, small.sets(), small.records())
                            .isEqualTo(ofPage(small.sets(), small.records(), asOf));
                }
            }
        }
        assertThat(compared).isGreaterThanOrEqualTo(DOCUMENTS);
    }

    private record Case(List<ObjectNode> sets, Made records) {
        Population population() {
            return Records.of(records.peopleFile(), records.eventsFile());
        }
    }

    private static boolean agree(List<ObjectNode> sets, Population population, Made records, LocalDate asOf) {
        return ofEngine(sets, population, records, asOf).equals(ofPage(sets, records, asOf));
    }

    /** Fewer criteria, bands and people with which the two still disagree. */
    private static Case shrunk(Case failing, LocalDate asOf) {
        Optional<Case> smaller = Optional.of(failing);
        Case smallest = failing;
        while (smaller.isPresent()) {
            smallest = smaller.get();
            smaller = simpler(smallest).stream()
                    .filter(next -> !agree(next.sets(), next.population(), next.records(), asOf))
                    .findFirst();
        }
        return smallest;
    }

    private static List<Case> simpler(Case failing) {
        List<Case> simpler = new ArrayList<>();
        for (Row person : failing.records().people()) {
            List<Row> others = failing.records().people().stream()
                    .filter(other -> !other.equals(person))
                    .toList();
            simpler.add(
                    new Case(failing.sets(), new Made(others, failing.records().events())));
        }
        for (int set = 0; set < failing.sets().size(); set++) {
            for (String list : List.of("/include", "/exclude", "/shouldHave/of", "/bands")) {
                int size = failing.sets().get(set).at(list).size();
                for (int without = 0; without < size; without++) {
                    List<ObjectNode> fewer = new ArrayList<>(failing.sets());
                    fewer.set(set, failing.sets().get(set).deepCopy());
                    ((ArrayNode) fewer.get(set).at(list)).remove(without);
                    simpler.add(new Case(fewer, failing.records()));
                }
            }
        }
        return simpler;
    }

    private static List<String> ofEngine(List<ObjectNode> sets, Population population, Made records, LocalDate asOf) {
        CriteriaSet set = Records.sets(population, sets);
        Evaluator evaluator = new Evaluator(population, asOf);
        Reading reading = evaluator.read(set);
        Map<Integer, String> bands = evaluator.members(reading).stream()
                .collect(Collectors.toMap(
                        ListMember::person, member -> member.band().orElse("")));
        List<String> lines = new ArrayList<>();
        for (Row row : records.people()) {
            int person = population.find(row.cells().get("id")).orElseThrow();
            List<Outcome> alone = reading.levels().stream()
                    .map(level -> level.alone().of(person))
                    .toList();
            List<Outcome> remaining = reading.levels().stream()
                    .filter(level -> level.section() != Level.Section.SHOULD_HAVE)
                    .map(level ->
                            level.remaining().map(answer -> answer.of(person)).orElseThrow())
                    .toList();
            boolean mayBeEligible = reading.eligible().of(person) != Outcome.NO;
            lines.add(line(
                    row,
                    alone,
                    remaining,
                    reading.list().of(person),
                    mayBeEligible ? due(evaluator.dueOf(set, person)) : "",
                    bands.getOrDefault(person, "")));
        }
        lines.add(counts(reading.has()) + " " + counts(reading.eligible()));
        return lines;
    }

    private static List<String> ofPage(List<ObjectNode> sets, Made records, LocalDate asOf) {
        NaiveDocument inner = new NaiveDocument(sets.get(2), Map.of(), asOf);
        NaiveDocument middle = new NaiveDocument(sets.get(1), Map.of("inner", inner), asOf);
        NaiveDocument outer = new NaiveDocument(sets.get(0), Map.of("inner", inner, "middle", middle), asOf);
        List<String> lines = new ArrayList<>();
        List<Outcome> has = new ArrayList<>();
        List<Outcome> eligible = new ArrayList<>();
        for (Row person : records.people()) {
            List<Row> events = records.of(person);
            List<Outcome> alone = new ArrayList<>();
            List.of("include", "exclude", "shouldHave")
                    .forEach(section -> alone.addAll(outer.alone(section, person, events)));
            Outcome list = outer.list(person, events);
            has.add(outer.part("has", person, events));
            eligible.add(outer.part("eligible", person, events));
            lines.add(line(
                    person,
                    alone,
                    outer.remaining(person, events),
                    list,
                    eligible.getLast() == Outcome.NO ? "" : outer.due(person, events),
                    list == Outcome.NO ? "" : outer.band(person, events)));
        }
        lines.add(counts(has) + " " + counts(eligible));
        return lines;
    }

    private static String line(
            Row person, List<Outcome> alone, List<Outcome> remaining, Outcome list, String due, String band) {
        return person.cells().get("id") + " alone " + alone + " remaining " + remaining + " list " + list + " due "
                + due + " band " + band;
    }

    private static String due(Due due) {
        return switch (due) {
            case Due.None none -> "";
            case Due.Never never -> "never";
            case Due.On(var day) -> day.toString();
        };
    }

    private static String counts(Answer answer) {
        return answer.yesCount() + "/" + answer.unsureCount();
    }

    private static String counts(List<Outcome> outcomes) {
        return NaiveLogic.count(outcomes, o -> o == Outcome.YES) + "/"
                + NaiveLogic.count(outcomes, o -> o == Outcome.UNSURE);
    }
}
