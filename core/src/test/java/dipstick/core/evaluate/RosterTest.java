package dipstick.core.evaluate;

import static dipstick.core.Records.TODAY;
import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Outcome;
import dipstick.core.Records;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.population.Population;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Who is in a roster (criteria.md section 3), by keys that are exact, missing or imprecise on either side. */
class RosterTest {
    private static final Population RECORDS = Records.of("""
            id,family_name,birth_date,frailty:number,aid:flag
            exact,Marl,1950-06-15,0,yes
            month,Marl,1950-06,3,no
            nameless,,1950-06-15,,
            unborn,Marl,,3.50,no
            other,Ardle,1950-06-15,3.5,yes
            """, "person_id,kind\n");

    @ParameterizedTest(name = "{0} in {2} by {1}: {3}")
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "exact    | 'family_name', 'birth_date' | ['marl', '1950-06-15']  | YES",
                "exact    | 'family_name', 'birth_date' | ['marl', '1950-06-16']  | NO",
                "exact    | 'family_name', 'birth_date' | ['marl', '1950-06']     | UNSURE",
                "exact    | 'family_name', 'birth_date' | ['marl', '1951']        | NO",
                "exact    | 'family_name', 'birth_date' | ['', '1950-06-15']      | UNSURE",
                "exact    | 'family_name', 'birth_date' | ['', '1950-06-14']      | NO",
                "exact    | 'family_name', 'birth_date' | ['nobody', '']          | NO",
                "exact    | 'family_name', 'birth_date' | ['', '']                | UNSURE",
                "month    | 'family_name', 'birth_date' | ['marl', '1950-06-15']  | UNSURE",
                "month    | 'family_name', 'birth_date' | ['marl', '1950-07-01']  | NO",
                "month    | 'family_name', 'birth_date' | ['marl', '1950-06']     | UNSURE",
                "nameless | 'family_name', 'birth_date' | ['marl', '1950-06-15']  | UNSURE",
                "nameless | 'family_name', 'birth_date' | ['nobody', '1950-06-15'] | UNSURE",
                "nameless | 'family_name', 'birth_date' | ['marl', '1950-06-16']  | NO",
                "unborn   | 'family_name', 'birth_date' | ['marl', '1950-06-15']  | UNSURE",
                "unborn   | 'family_name', 'birth_date' | ['ardle', '1950-06-15'] | NO",
                "exact    | 'frailty'                   | [-0.0]                  | YES",
                "unborn   | 'frailty'                   | [3.5]                   | YES",
                "month    | 'frailty'                   | [3.5]                   | NO",
                "nameless | 'frailty'                   | [3.5]                   | UNSURE",
                "exact    | 'aid', 'family_name'        | [true, 'marl']          | YES",
                "month    | 'aid', 'family_name'        | [true, 'marl']          | NO",
                "nameless | 'aid', 'family_name'        | [false, 'marl']         | UNSURE",
            })
    void one_row(String person, String key, String row, Outcome outcome) {
        assertThat(of(person, key, row)).isEqualTo(outcome);
    }

    @Test
    void a_row_that_is_theirs_is_found_among_those_that_may_be() {
        String rows = "['', ''], ['marl', '1950-06'], ['marl', '1950-06-15'], ['marl', '1950-06-15']";
        assertThat(of("exact", "'family_name', 'birth_date'", rows)).isEqualTo(Outcome.YES);
        assertThat(of("month", "'family_name', 'birth_date'", rows)).isEqualTo(Outcome.UNSURE);
        assertThat(of("other", "'family_name', 'birth_date'", "['marl', '1950-06-15'], ['ardle', '1950-06-15']"))
                .isEqualTo(Outcome.YES);
    }

    @Test
    void thousands_of_rows_keep_to_those_they_name() {
        String people = IntStream.range(0, 3000)
                .mapToObj(i -> "q" + i + ",Name" + i % 50 + ",19" + (10 + i % 90) + "-01-" + (10 + i % 20))
                .collect(Collectors.joining("\n", "id,family_name,birth_date\n", "\n"));
        Population many = Records.of(people, "person_id,kind\n");
        String rows = IntStream.range(0, 3000)
                .filter(i -> i % 7 == 0)
                .mapToObj(i -> "['name" + i % 50 + "', '19" + (10 + i % 90) + "-01-" + (10 + i % 20) + "']")
                .collect(Collectors.joining(", "));
        Answer answer = answer(many, "'family_name', 'birth_date'", rows);
        // Name, year and day come again after 50, 90 and 20 people: together after 900.
        int[] expected = IntStream.range(0, 3000)
                .filter(i -> IntStream.range(0, 4)
                        .map(turn -> i % 900 + 900 * turn)
                        .anyMatch(same -> same < 3000 && same % 7 == 0))
                .toArray();
        assertThat(answer.yes().stream().toArray()).isEqualTo(expected);
        assertThat(answer.unsureCount()).isZero();
    }

    private static Outcome of(String person, String key, String rows) {
        return answer(RECORDS, key, rows).of(RECORDS.find(person).orElseThrow());
    }

    private static Answer answer(Population records, String key, String rows) {
        CriteriaSet set = Records.set(
                records,
                "'rosters': [{'id': 'r', 'key': [" + key + "], 'rows': [" + rows
                        + "]}], 'include': [{'id': 'a', 'test': {'roster': 'r'}}]");
        return new Evaluator(records, TODAY).answer(set.include().getFirst().test());
    }
}
