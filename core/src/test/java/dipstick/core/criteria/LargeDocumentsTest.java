package dipstick.core.criteria;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dipstick.core.Records;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Reading;
import dipstick.core.population.Population;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

/** Documents that nobody writes by hand get a right answer or a clear error, in bounded time. */
@Timeout(20)
class LargeDocumentsTest {
    private static final Population RECORDS = Records.of("id,sex\na,female\nb,male\n", """
            person_id,kind,code,on
            a,visit,c77777,2026-11-01
            """);

    @Test
    void ten_thousand_groups_in_each_other_are_refused_in_words() {
        String deep = "{\"not\": ".repeat(10_000) + "{\"field\": \"sex\", \"in\": [\"female\"]}" + "}".repeat(10_000);
        String document = "{\"format\": \"dipstick-criteria/1\", \"id\": \"deep\", \"name\": \"Deep\","
                + " \"include\": [{\"id\": \"a\", \"test\": " + deep + "}]}";
        assertThatThrownBy(() -> CriteriaReader.read(
                        List.of(CriteriaSource.parse("deep", document)), Map.of(), RECORDS.fields(), ZoneOffset.UTC))
                .isInstanceOfSatisfying(
                        InvalidCriteria.class,
                        invalid -> assertThat(invalid.problems().get("deep"))
                                .singleElement()
                                .satisfies(problem ->
                                        assertThat(problem.message()).contains("nested more than 500 deep")));
    }

    @Test
    void a_thousand_million_years_are_refused_where_they_stand() {
        assertThat(Records.pointers(RECORDS, Records.document("long", """
                                'include': [{'id': 'a', 'test': {'events': {'window': {'last': 'P1000000000Y'}}}}]""")))
                .containsExactly("/include/0/test/events/window/last");
    }

    @Test
    void a_term_set_of_a_hundred_thousand_members_is_answered() {
        String members = IntStream.range(0, 100_000)
                .mapToObj(i -> "{'code': 'c" + i + "'}")
                .collect(Collectors.joining(","));
        CriteriaSet set = Records.set(
                RECORDS,
                "'termSets': [{'id': 'many', 'members': [" + members + "]}],"
                        + "'include': [{'id': 'a', 'test': {'events': {'terms': ['many']}}}]");
        assertThat(read(set).list().yesCount()).isOne();
    }

    @Test
    void a_thousand_criteria_are_answered() {
        String criteria = IntStream.range(0, 1000)
                .mapToObj(i -> "{'id': 'c" + i + "', 'test': {'events': {'window': {'last': 'P" + (i + 30) + "D'}}}}")
                .collect(Collectors.joining(","));
        CriteriaSet set = Records.set(RECORDS, "'include': [" + criteria + "]");
        Reading reading = read(set);
        assertThat(reading.levels()).hasSize(1000);
        assertThat(reading.list().yesCount()).isOne();
    }

    @Test
    void at_least_five_hundred_of_a_thousand_is_answered() {
        String tests = IntStream.range(0, 1000)
                .mapToObj(i -> "{'field': 'sex', 'in': ['" + (i % 2 == 0 ? "female" : "x" + i) + "']}")
                .collect(Collectors.joining(","));
        CriteriaSet half =
                Records.set(RECORDS, "'include': [{'id': 'a', 'test': {'atLeast': 500, 'of': [" + tests + "]}}]");
        assertThat(read(half).list().yesCount()).isOne();
        CriteriaSet more =
                Records.set(RECORDS, "'include': [{'id': 'a', 'test': {'atLeast': 501, 'of': [" + tests + "]}}]");
        assertThat(read(more).list().yesCount()).isZero();
    }

    @Test
    void a_circle_through_three_sets_is_found_at_each_member() {
        CriteriaSource one = Records.document("one", "'include': [{'id': 'a', 'test': {'member': 'two'}}]");
        CriteriaSource two = Records.document("two", "'include': [{'id': 'a', 'test': {'member': 'three'}}]");
        CriteriaSource three = Records.document("three", "'include': [{'id': 'a', 'test': {'member': 'one'}}]");
        for (List<CriteriaSource> order : List.of(List.of(one, two, three), List.of(two, three, one))) {
            assertThat(Records.pointers(RECORDS, order.toArray(CriteriaSource[]::new)))
                    .containsExactly("/include/0/test/member");
        }
    }

    private static Reading read(CriteriaSet set) {
        return new Evaluator(RECORDS, Records.TODAY).read(set);
    }
}
