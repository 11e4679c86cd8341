package dipstick.core.explain;

import static dipstick.core.Records.TODAY;
import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Outcome;
import dipstick.core.Records;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.population.Population;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class NearTheLineTest {
    private static final Population RECORDS = Records.of("""
            id,birth_date,deceased_on
            old,1950-06-15,
            comes,2008-12-01,
            came,2008-11-10,
            ages,1956-11-30,
            dies,1950-06-15,2026-11-30
            """, """
            person_id,kind,code,on
            old,visit,HC1,2025-12-03
            comes,visit,HC1,2026-11-20
            came,visit,HC1,2026-11-20
            ages,visit,HC1,2026-11-20
            """);

    private static final CriteriaSet SET = Records.set(RECORDS, """
            'termSets': [{'id': 'hc', 'name': 'hearing check', 'members': [{'code': 'HC1'}]}],
            'include': [{'id': 'age', 'test': {'age': {'from': 18, 'through': 69}}}],
            'shouldHave': {'rule': 'any', 'of': [{'id': 'check', 'test':
              {'events': {'terms': ['hc'], 'window': {'last': 'P12M'}}}}]}""");

    private final Map<LocalDate, Evaluator> evaluators = new HashMap<>();

    private NearTheLine near(CriteriaSet set) {
        return new NearTheLine(
                set, TODAY, day -> evaluators.computeIfAbsent(day, asOf -> new Evaluator(RECORDS, asOf)));
    }

    private List<String> words(CriteriaSet set, List<Turn> turns) {
        NearTheLine near = near(set);
        return turns.stream()
                .map(turn -> RECORDS.idOf(turn.person()) + " " + turn.before() + " to " + turn.after() + ": "
                        + near.why(turn, set.include().getFirst()))
                .toList();
    }

    @Test
    void ages_turn_on_the_birthday_before_and_after() {
        assertThat(words(SET, near(SET).of(SET.include().getFirst())))
                .containsExactly(
                        "came NO to YES: Comes of the age on 10 Nov 2026.",
                        "ages YES to NO: Ages out on 30 Nov 2026.",
                        "comes NO to YES: Comes of the age on 1 Dec 2026.");
    }

    @Test
    void a_lookback_turns_on_the_day_after_its_last() {
        CriteriaSet due = Records.set(RECORDS, """
                'termSets': [{'id': 'hc', 'name': 'hearing check', 'members': [{'code': 'HC1'}]}],
                'include': [{'id': 'old', 'test': {'age': {'from': 70}}}],
                'shouldHave': {'rule': 'any', 'of': [{'id': 'check', 'test':
                  {'events': {'terms': ['hc'], 'window': {'last': 'P12M'}}}}]}""");
        NearTheLine near = near(due);
        Turn turn = near.ofList().stream()
                .filter(one -> RECORDS.idOf(one.person()).equals("old"))
                .findFirst()
                .orElseThrow();
        assertThat(turn.day()).isEqualTo(LocalDate.of(2026, 12, 4));
        assertThat(turn.after()).isEqualTo(Outcome.YES);
        assertThat(near.why(turn)).isEqualTo("Becomes due: the window closes on 4 Dec 2026 behind HC1 on 3 Dec 2025.");
    }

    @Test
    void who_dies_leaves_on_that_day() {
        CriteriaSet old = Records.set(RECORDS, "'include': [{'id': 'old', 'test': {'age': {'from': 70}}}]");
        NearTheLine near = near(old);
        Turn turn = near.ofList().stream()
                .filter(one -> RECORDS.idOf(one.person()).equals("dies"))
                .findFirst()
                .orElseThrow();
        assertThat(turn.day()).isEqualTo(LocalDate.of(2026, 11, 30));
        assertThat(near.why(turn)).isEqualTo("Deceased from this day on.");
    }
}
