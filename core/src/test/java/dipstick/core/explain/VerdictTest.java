package dipstick.core.explain;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Records;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.population.Population;
import org.junit.jupiter.api.Test;

class VerdictTest {
    private static final Population RECORDS = Records.of("""
            id,birth_date,status
            young,2015-01-01,active
            away,1950-01-01,moved away
            has,1950-01-01,active
            lacks,1950-01-01,active
            blank,,active
            gone,1950-01-01,deceased
            """, """
            person_id,kind,on
            has,visit,2026-10-01
            """);

    private static final CriteriaSet SET = Records.set(
            RECORDS,
            "'include': [{'id': 'adult', 'test': {'age': {'from': 18}}}],"
                    + "'exclude': [{'id': 'away', 'test': {'any': [{'field': 'status', 'in': ['moved away']}]}}],"
                    + "'shouldHave': {'rule': 'any', 'of': [{'id': 'seen', 'test':"
                    + " {'events': {'kinds': ['visit'], 'window': {'last': 'P1Y'}}}}]}");

    @Test
    void the_sentence_is_that_of_the_criterion_that_decides() {
        assertThat(of("young")).contains("11");
        assertThat(of("away")).as("a group says it by its part").contains("moved away");
        assertThat(of("has")).contains("1 Oct 2026");
        assertThat(of("lacks")).contains("visit");
        assertThat(of("blank")).contains("birth date");
        assertThat(of("gone")).isEqualTo("Recorded as deceased.");
    }

    private static String of(String id) {
        Evaluator evaluator = new Evaluator(RECORDS, Records.TODAY);
        return Verdict.of(evaluator, evaluator.read(SET), RECORDS.find(id).orElseThrow());
    }
}
