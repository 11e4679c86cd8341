package dipstick.core.explain;

import static dipstick.core.Records.TODAY;
import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Outcome;
import dipstick.core.Records;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.population.Population;
import org.junit.jupiter.api.Test;

class ExplainerTest {
    private static final Population RECORDS = Records.of("""
            id,birth_date,sex
            has,1950-06-15,female
            late,1956,
            none,,male
            maybe,1950-06-15,female
            further,1950-06-15,female
            """, """
            person_id,kind,code,text,on,value,unit,also_coded
            further,visit,XX,Ears,2026-05-03,,,KF1; hc1|local
            has,visit,HC1,Hearing check,2026-05-03,,,
            has,visit,HC1,,2026-01-03,,,
            late,visit,HC1,Hearing check,2024-05-03,,,
            maybe,visit,HC1,Hearing check,2025,,,
            has,result,,Blood pressure,2026-01-01,162,mmHg,
            """);

    private static final String CHECK = "{'events': {'terms': ['hc'], 'window': {'last': 'P12M'}}}";

    @Test
    void a_yes_names_the_records_that_made_it_so() {
        Reason reason = reason("has", CHECK);
        assertThat(reason.outcome()).isEqualTo(Outcome.YES);
        assertThat(reason.words()).isEqualTo("Hearing check on 3 May 2026, HC1 on 3 Jan 2026.");
        assertThat(reason.witness()).hasSize(2);
    }

    @Test
    void a_record_that_counts_by_a_further_code_says_so() {
        assertThat(reason("further", CHECK).words()).isEqualTo("Ears (also coded hc1 of local) on 3 May 2026.");
    }

    @Test
    void a_no_names_the_window_and_the_nearest_miss() {
        assertThat(reason("late", CHECK).words())
                .isEqualTo("No hearing check from 23 Nov 2025 to 23 Nov 2026."
                        + " The nearest: Hearing check on 3 May 2024.");
        assertThat(reason("none", CHECK).words()).endsWith("None on record at any time.");
    }

    @Test
    void a_no_for_a_value_names_the_record_whose_value_does_not_fit() {
        String high = "{'events': {'kinds': ['result'], 'where': [{'field': 'value', 'above': 170}]}}";
        Reason reason = reason("has", high);
        assertThat(reason.words()).endsWith("Its value does not fit: Blood pressure 162 mmHg on 1 Jan 2026.");
        assertThat(reason.witness()).isEmpty();
        assertThat(reason.nearest()).isPresent();
    }

    @Test
    void the_nearest_miss_is_the_one_nearest_to_the_window() {
        String ago = "{'events': {'terms': ['hc'], 'window': {'ago': ['P20Y', 'P18M']}}}";
        assertThat(reason("has", ago).words()).endsWith("The nearest: HC1 on 3 Jan 2026.");
    }

    @Test
    void a_cant_tell_names_what_may_count_and_why() {
        Reason reason = reason("maybe", CHECK);
        assertThat(reason.outcome()).isEqualTo(Outcome.UNSURE);
        assertThat(reason.words())
                .isEqualTo("May count: Hearing check, date known only as 2025"
                        + " (its day may or may not be in the window).");
    }

    @Test
    void ages_and_fields_are_told_as_they_are_on_record() {
        assertThat(reason("has", "{'age': {'from': 18}}").words()).isEqualTo("Aged 76, born 15 Jun 1950.");
        assertThat(reason("late", "{'age': {'from': 70}}").words()).isEqualTo("Aged 69 to 70, born 1956.");
        assertThat(reason("none", "{'age': {'from': 18}}").words()).isEqualTo("No birth date is on record.");
        assertThat(reason("late", "{'field': 'sex', 'in': ['male']}").words()).isEqualTo("Sex is blank.");
        assertThat(reason("none", "{'field': 'sex', 'in': ['female']}").words()).isEqualTo("Sex is male.");
    }

    @Test
    void a_group_tells_the_reasons_of_its_parts() {
        Reason reason = reason("has", "{'any': [{'age': {'from': 90}}, " + CHECK + "]}");
        assertThat(reason.parts()).extracting(Reason::outcome).containsExactly(Outcome.NO, Outcome.YES);
    }

    @Test
    void a_pick_tells_what_was_picked() {
        assertThat(reason("has", "{'latest': {'kinds': ['result']}, 'is': [{'field': 'value', 'above': 150}]}")
                        .words())
                .isEqualTo("The latest is Blood pressure 162 mmHg on 1 Jan 2026.");
    }

    private static Reason reason(String person, String test) {
        CriteriaSet set = Records.set(RECORDS, """
                'termSets': [{'id': 'hc', 'name': 'hearing check', 'members': [{'code': 'HC1'}]}],
                'include': [{'id': 'a', 'test':""" + test + "}]");
        Evaluator evaluator = new Evaluator(RECORDS, TODAY);
        return new Explainer(evaluator, RECORDS.find(person).orElseThrow())
                .explain(set.include().getFirst().test());
    }
}
