package dipstick.core.evaluate;

import static dipstick.core.Records.TODAY;
import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Outcome;
import dipstick.core.Records;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.population.Population;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class EvaluatorTest {
    private static final String ONE_PERSON = "id,birth_date,sex\np1,1950-06-15,female\n";

    @ParameterizedTest(name = "{0} in {1}: {2}")
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "2025-11-23 | {'last': 'P12M'}             | YES",
                "2025-11-22 | {'last': 'P12M'}             | NO",
                "2026-11-23 | {'last': 'P12M'}             | YES",
                "2026-11-24 | {'last': 'P12M'}             | NO",
                "2026-11-23 | {'next': 'P1M'}              | YES",
                "2026-12-23 | {'next': 'P1M'}              | YES",
                "2026-12-24 | {'next': 'P1M'}              | NO",
                "2025-11    | {'last': 'P12M'}             | UNSURE",
                "2026-11    | {'last': 'P12M'}             | YES",
                "2026       | {'sinceStartOf': 'year'}     | YES",
                "2026       | {'last': 'P3M'}              | UNSURE",
                "           | {'ever': true}               | YES",
                "           | {'any': true}                | YES",
                "           | {'last': 'P50Y'}             | UNSURE",
                "           | {'next': 'P1M'}              | UNSURE",
                "           | {'dates': ['2027-01-01', null]} | NO",
                "           | {'dates': [null, '2026-11-22']} | UNSURE",
                "2000-06-14 | {'atAge': {'through': 49}}   | YES",
                "2000-06-15 | {'atAge': {'through': 49}}   | NO",
                "1950-06-14 | {'atAge': {'through': 49}}   | NO",
            })
    void an_event_lies_in_a_window_or_not(String on, String window, Outcome outcome) {
        Population records = Records.of(ONE_PERSON, "person_id,kind,on\np1,visit," + (on == null ? "" : on) + "\n");
        assertThat(answer(records, "{'events': {'window': " + window + "}}", "p1"))
                .isEqualTo(outcome);
    }

    @Test
    void an_ended_problem_is_not_active_and_one_that_may_have_ended_is_cant_tell() {
        Population records = Records.of("id\na\nb\nc\nd\ne\n", """
                person_id,kind,on,until,status
                a,problem,2020-01-01,,active
                b,problem,2020-01-01,2026-11-23,
                c,problem,2020-01-01,2026,
                d,problem,2020-01-01,,Resolved
                e,problem,2026-11-24,,
                """);
        assertThat(outcomes(records, "{'events': {'active': true, 'window': {'any': true}}}"))
                .containsExactly(Outcome.YES, Outcome.NO, Outcome.UNSURE, Outcome.NO, Outcome.NO);
    }

    @Test
    void what_a_criterion_alone_keeps_off_the_list_is_known() {
        Population records = Records.of(
                "id,sex,site\na,female,Mill\nb,male,Mill\nc,male,Row\nd,female,Row\n",
                "person_id,kind,on\na,visit,2026-01-01\n");
        CriteriaSet set = Records.set(records, """
                'include': [{'id': 'women', 'test': {'field': 'sex', 'in': ['female']}}],
                'exclude': [{'id': 'row', 'test': {'field': 'site', 'in': ['Row']}}],
                'shouldHave': {'rule': 'any', 'of': [{'id': 'seen', 'test': {'events': {'kinds': ['visit']}}}]}""");
        Evaluator evaluator = new Evaluator(records, TODAY);
        Reading reading = evaluator.read(set);
        assertThat(set.criteria().map(one -> records.idsOf(evaluator.keptOffOnlyBy(one, reading))))
                .containsExactly(List.of("b"), List.of("d"), List.of("a"));
    }

    @Test
    void what_was_entered_in_error_never_counts() {
        Population records = Records.of("id\na\n", "person_id,kind,status\na,visit, Entered-in-ERROR \n");
        assertThat(answer(records, "{'events': {}}", "a")).isEqualTo(Outcome.NO);
    }

    @Test
    void a_count_of_what_may_be_there_is_cant_tell_only_where_it_matters() {
        Population records =
                Records.of("id\na\n", "person_id,kind,on\na,visit,2026-10-01\na,visit,2025-11\na,visit,2024-01-01\n");
        String window = "'window': {'last': 'P12M'}";
        assertThat(answer(records, "{'events': {" + window + "}}", "a")).isEqualTo(Outcome.YES);
        assertThat(answer(records, "{'events': {" + window + "}, 'count': {'atLeast': 2}}", "a"))
                .isEqualTo(Outcome.UNSURE);
        assertThat(answer(records, "{'events': {" + window + "}, 'count': {'atLeast': 3}}", "a"))
                .isEqualTo(Outcome.NO);
        assertThat(answer(records, "{'events': {" + window + "}, 'count': {'atMost': 2}}", "a"))
                .isEqualTo(Outcome.YES);
        assertThat(answer(records, "{'events': {" + window + "}, 'count': {'exactly': 1}}", "a"))
                .isEqualTo(Outcome.UNSURE);
        assertThat(answer(records, "{'events': {" + window + "}, 'count': {'none': true}}", "a"))
                .isEqualTo(Outcome.NO);
    }

    @Test
    void dates_next_to_one_another_in_a_list_hold_a_month_between_them() {
        Population records = Records.of("id,seen:date\na,2026-02\nb,2026-03\nc,\n", "person_id,kind\n");
        assertThat(outcomes(records, "{'field': 'seen', 'in': ['2026-01', '2026-02-01', '2026-02']}"))
                .containsExactly(Outcome.YES, Outcome.NO, Outcome.UNSURE);
        assertThat(outcomes(records, "{'field': 'seen', 'notIn': ['2026-02-03']}"))
                .containsExactly(Outcome.UNSURE, Outcome.YES, Outcome.UNSURE);
    }

    @Test
    void the_due_date_follows_the_rule() {
        Population records = Records.of(
                "id\na\nb\n", "person_id,kind,on\na,visit,2026-01-15\na,result,2025-03-01\nb,visit,2026-02-28\n");
        String of = "'of': [{'id': 'v', 'test': {'events': {'kinds': ['visit'], 'window': {'last': 'P6M'}}}},"
                + " {'id': 'r', 'test': {'events': {'kinds': ['result'], 'window': {'last': 'P12M'}}}}]";
        assertThat(due(records, "'shouldHave': {'rule': 'any', " + of + "}"))
                .containsExactly(on("2026-07-16"), on("2026-09-01"));
        assertThat(due(records, "'shouldHave': {'rule': 'all', " + of + "}"))
                .containsExactly(on("2026-03-02"), new Due.Never());
        assertThat(due(records, "'shouldHave': {'rule': {'atLeast': 2}, " + of + "}"))
                .containsExactly(on("2026-03-02"), new Due.Never());
        assertThat(due(records, "'shouldHave': {'rule': {'atLeast': 9}, " + of + "}"))
                .containsExactly(on("2026-03-02"), new Due.Never());
        assertThat(due(records, "'shouldHave': {'rule': {'atLeast': 0}, " + of + "}"))
                .containsExactly(new Due.None(), new Due.None());
        assertThat(due(records, "'include': []")).containsExactly(new Due.None(), new Due.None());
    }

    @Test
    void what_is_switched_off_counts_for_nothing() {
        Population records = Records.of(ONE_PERSON, "person_id,kind\n");
        CriteriaSet set = Records.set(records, """
                'include': [{'id': 'a', 'off': true, 'test': {'any': []}}],
                'shouldHave': {'rule': 'all', 'of': [{'id': 'b', 'off': true, 'test': {'any': []}}]}""");
        Reading reading = new Evaluator(records, TODAY).read(set);
        assertThat(reading.levels()).isEmpty();
        assertThat(reading.list().yesCount()).isEqualTo(1);
        assertThat(reading.eligibleAndHas().yesCount()).isZero();
    }

    @Test
    void an_answer_that_is_kept_is_the_same_answer() {
        Population records = Records.of(ONE_PERSON, "person_id,kind,on\np1,visit,2026-10-01\n");
        CriteriaSet set = Records.set(records, "'include': [{'id': 'a', 'test': {'events': {'kinds': ['Visit']}}}]");
        Evaluator evaluator = new Evaluator(records, TODAY);
        Answer first = evaluator.answer(set.include().getFirst().test());
        CriteriaSet other = Records.set(records, "'include': [{'id': 'b', 'test': {'events': {'kinds': ['visit']}}}]");
        assertThat(evaluator.answer(other.include().getFirst().test())).isSameAs(first);
    }

    private static Due on(String day) {
        return new Due.On(LocalDate.parse(day));
    }

    private static List<Due> due(Population records, String parts) {
        CriteriaSet set = Records.set(records, parts);
        Evaluator evaluator = new Evaluator(records, TODAY);
        return IntStream.range(0, records.size())
                .mapToObj(person -> evaluator.dueOf(set, person))
                .toList();
    }

    private static Outcome answer(Population records, String test, String person) {
        return outcomes(records, test).get(records.find(person).orElseThrow());
    }

    private static List<Outcome> outcomes(Population records, String test) {
        CriteriaSet set = Records.set(records, "'include': [{'id': 'a', 'test': " + test + "}]");
        Answer answer =
                new Evaluator(records, TODAY).answer(set.include().getFirst().test());
        return IntStream.range(0, records.size()).mapToObj(answer::of).toList();
    }
}
