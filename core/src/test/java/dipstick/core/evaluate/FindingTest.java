package dipstick.core.evaluate;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Records;
import dipstick.core.population.Population;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the columns of a criterion show (criteria.md section 4). */
class FindingTest {
    private static Found[] found(Population people, String test, int... who) {
        BitSet those = new BitSet();
        Arrays.stream(who).forEach(those::set);
        return new Evaluator(people, Records.TODAY)
                .found(
                        (dipstick.core.criteria.Test.Events)
                                Records.set(people, "'include': [{'id': 'c', 'test': " + test + "}]")
                                        .include()
                                        .getFirst()
                                        .test(),
                        those);
    }

    /** How many, the latest, the earliest and the value of the latest. */
    private static String words(Population people, Found found) {
        return found.count() + " "
                + found.latest().map(Object::toString).orElse("-") + " "
                + found.earliest().map(Object::toString).orElse("-") + " "
                + found.latestEvent().stream()
                        .mapToObj(event -> people.events()
                                .value()
                                .numbers()
                                .get(people.events().value().codes().get(event)))
                        .map(Object::toString)
                        .findFirst()
                        .orElse("-");
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "on one day the higher value                | 2026-03-01,4; 2026-03-01,7; 2026-03-01,5 | 3 2026-03-01 2026-03-01 7.0",
                "on one day one with a value                | 2026-03-01,4; 2026-03-01,              | 2 2026-03-01 2026-03-01 4.0",
                "on one day one with a value, that first    | 2026-03-01,; 2026-03-01,4              | 2 2026-03-01 2026-03-01 4.0",
                "the later of two                           | 2026-03-01,4; 2025-01-01,7             | 2 2026-03-01 2025-01-01 4.0",
                "the later of two, that first               | 2025-01-01,7; 2026-03-01,4             | 2 2026-03-01 2025-01-01 4.0",
                "of two that end on one day the later first | 2026-03,9; 2026-03-31,4                | 2 2026-03-31 2026-03-01 4.0",
                "as above, that last                        | 2026-03-31,4; 2026-03,9                | 2 2026-03-31 2026-03-01 4.0",
                "an undated one counts alone                | ,9; 2026-03-31,4                       | 2 2026-03-31 2026-03-31 4.0",
                "undated ones alone                         | ,9; ,4                                 | 2 - - -",
            })
    void the_latest_is_found(String why, String events, String expected) {
        StringBuilder rows = new StringBuilder("person_id,kind,on,value\n");
        for (String event : events.split(";")) {
            rows.append("b,result,").append(event.strip()).append('\n');
        }
        Population people = Records.of(
                "id\na\nb\nc\n", rows.append("c,result,2026-01-01,1\n").toString());
        Found[] found = found(people, "{'events': {'kinds': ['result']}}", 0, 1);
        assertThat(words(people, found[1])).as(why).isEqualTo(expected);
        assertThat(found[0]).isEqualTo(Found.NOTHING);
        assertThat(found[2]).as("of whom nothing is asked").isNull();
    }

    @Test
    void what_may_match_is_not_shown_and_days_are_counted_where_the_criterion_counts_days() {
        Population people = Records.of("id\na\n", """
                person_id,kind,on,value
                a,result,2026-03-01,1
                a,result,2026-03-01,2
                a,result,2026-05-01,3
                a,result,2025,9
                a,result,2025-01-01,8
                """);
        String window = "'kinds': ['result'], 'window': {'last': 'P12M'}";
        assertThat(words(people, found(people, "{'events': {" + window + "}}", 0)[0]))
                .isEqualTo("3 2026-05-01 2026-03-01 3.0");
        assertThat(words(people, found(people, "{'events': {" + window + "}, 'per': 'day'}", 0)[0]))
                .isEqualTo("2 2026-05-01 2026-03-01 3.0");
    }

    @Test
    void only_some_are_told_their_due_dates() {
        Population people = Records.of("id\na\nb\nc\n", "person_id,kind,on\nb,visit,2026-03-01\nc,visit,2026-04-01\n");
        Evaluator evaluator = new Evaluator(people, Records.TODAY);
        BitSet some = new BitSet();
        some.set(0);
        some.set(2);
        assertThat(evaluator.duesOf(
                        Records.set(
                                people,
                                "'shouldHave': {'rule': 'any', 'of': [{'id': 'v', 'test': {'events': {'window': {'last':"
                                        + " 'P1M'}}}}]}"),
                        some))
                .isEqualTo(List.of(new Due.Never(), new Due.On(LocalDate.of(2026, 5, 2))));
        assertThat(evaluator.duesOf(Records.set(people, "'include': []"), some))
                .isEqualTo(List.of(new Due.None(), new Due.None()));
    }
}
