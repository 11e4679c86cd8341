package dipstick.core.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dipstick.core.Records;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.ReadAnew;
import dipstick.core.population.Column;
import dipstick.core.population.Population;
import dipstick.core.proof.NaiveEvaluator.Row;
import dipstick.core.proof.RandomRecords.Made;
import dipstick.core.records.Field;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.node.ObjectNode;

/** People read anew in a population that stays: it is the one that would have been built from all records. */
class RenewalTest {
    private static final int PEOPLE = 20;
    private static final int NEW_PEOPLE = 5;

    static IntStream seeds() {
        return IntStream.rangeClosed(1, 60);
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void a_renewed_population_is_the_one_built_from_all_records(int seed) {
        Random random = new Random(seed);
        LocalDate asOf = RandomRecords.asOf(random);
        RandomRecords maker = new RandomRecords(random, asOf);
        Made records = maker.make(PEOPLE);
        Population renewed = population(records);
        for (int change = 0; change < 4; change++) {
            Made come = some(maker.make(PEOPLE + NEW_PEOPLE), random);
            renewed = renewed.with(population(come));
            records = over(records, come);
            Population built = population(records);

            assertThat(told(renewed)).as("change %d", change).isEqualTo(told(built));
            List<ObjectNode> sets = new RandomDocuments(random, maker, asOf).make();
            assertThat(WholeAnswer.of(sets, renewed, asOf))
                    .as("change %d", change)
                    .isEqualTo(WholeAnswer.of(sets, built, asOf));
        }
    }

    /** More changes than answers are kept for, and not everything is asked after each of them. */
    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void answers_are_kept_for_everybody_who_was_not_read_anew(int seed) {
        Random random = new Random(seed);
        LocalDate asOf = RandomRecords.asOf(random);
        RandomRecords maker = new RandomRecords(random, asOf);
        Population renewed = population(maker.make(PEOPLE));
        List<CriteriaSet> sets = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            sets.add(Records.sets(renewed, new RandomDocuments(random, maker, asOf).make()));
        }
        Evaluator evaluator = new Evaluator(renewed, asOf);
        sets.forEach(evaluator::read);
        for (int change = 0; change < 12; change++) {
            Population come = population(some(maker.make(PEOPLE + NEW_PEOPLE), random));
            renewed = renewed.with(come);
            evaluator = evaluator.over(renewed, ReadAnew.of(come, renewed));
            CriteriaSet asked = sets.get(random.nextInt(sets.size()));
            assertThat(WholeAnswer.of(asked, evaluator))
                    .as("change %d", change)
                    .isEqualTo(WholeAnswer.of(asked, new Evaluator(renewed, asOf)));
        }
        for (CriteriaSet set : sets) {
            assertThat(WholeAnswer.of(set, evaluator)).isEqualTo(WholeAnswer.of(set, new Evaluator(renewed, asOf)));
        }
    }

    @Test
    void columns_grow_with_the_values_that_come() {
        StringBuilder people = new StringBuilder("id,family_name\n");
        IntStream.range(0, 300).forEach(i -> people.append("q%d,Name %d%n".formatted(i, i)));
        Population few = Records.of("id,family_name\np1,Marl\nq7,Ardle\n", "person_id,kind\np1,visit\n");
        Population many = Records.of(people.toString(), "person_id,kind\nq7,visit\n");
        Population both = few.with(many);
        assertThat(both.size()).isEqualTo(301);
        assertThat(told(both).getFirst()).contains("marl");
        assertThat(told(both)).containsAll(told(many));
        assertThat(told(many.with(few))).containsAll(told(few)).noneMatch(line -> line.contains("person_id=q7"));
    }

    @Test
    void people_with_other_fields_are_refused() {
        Population before = Records.of("id\np1\n", "person_id,kind\n");
        Population other = Records.of("id,frailty:number\np1,3\n", "person_id,kind\n");
        assertThatThrownBy(() -> before.with(other)).hasMessageContaining("other fields");
    }

    private static Population population(Made records) {
        return Records.of(records.peopleFile(), records.eventsFile());
    }

    /** A few people in any order. */
    private static Made some(Made records, Random random) {
        List<Row> people = new ArrayList<>(records.people());
        Collections.shuffle(people, random);
        return new Made(people.subList(0, random.nextInt(6)), records.events());
    }

    private static Made over(Made records, Made come) {
        Map<String, Row> byId = come.people().stream().collect(Collectors.toMap(RenewalTest::id, person -> person));
        List<Row> people = new ArrayList<>();
        Map<String, List<Row>> events = new HashMap<>(records.events());
        for (Row person : records.people()) {
            people.add(byId.getOrDefault(id(person), person));
        }
        for (Row person : come.people()) {
            events.put(id(person), come.of(person));
            if (records.people().stream().noneMatch(known -> id(known).equals(id(person)))) {
                people.add(person);
            }
        }
        return new Made(people, events);
    }

    private static String id(Row person) {
        return person.cells().get("id");
    }

    /** Every cell, person by person with their events. */
    private static List<String> told(Population population) {
        List<String> told = new ArrayList<>();
        for (int person = 0; person < population.size(); person++) {
            int row = person;
            told.add(population.personFields().all().stream()
                    .map(field -> cell(field, population.column(field), row))
                    .toList()
                    .toString());
            population
                    .events()
                    .of(person)
                    .mapToObj(event -> population.events().fields().all().stream()
                            .map(field -> cell(field, population.events().column(field), event))
                            .toList())
                    .forEach(event -> told.add("  " + event));
            assertThat(population.find(population.idOf(person))).hasValue(person);
        }
        return told;
    }

    private static String cell(Field field, Column column, int row) {
        int code = column.codes().get(row);
        return column.isMissing(row)
                ? ""
                : field.name() + "="
                        + switch (column) {
                            case Column.OfCodings codings -> codings.sets().get(code);
                            case Column.OfText texts -> texts.compared().get(code);
                            case Column.OfNumber numbers -> numbers.numbers().get(code);
                            case Column.OfDate dates -> dates.days().get(code);
                            case Column.OfFlag _ -> code;
                            case Column.OfTexts texts ->
                                texts.sets().get(code).stream()
                                        .map(texts.words()::get)
                                        .toList();
                        };
    }
}
