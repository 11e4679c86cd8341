package dipstick.core.evaluate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import dipstick.core.Records;
import dipstick.core.evaluate.LevelCounts.Sides;
import dipstick.core.population.Population;
import org.junit.jupiter.api.Test;

class LevelCountsTest {
    private static final String HEAD = "id,birth_date,status,deceased_on\n";
    private static final String ONES = "a,1950-02-03,,\nb,1990-12-31,,\nc,,,\nd,1940,,2026-01-01\n";
    private static final String OTHERS = "e,1960-02-03,moved away,\nf,1955-01-01,,\ng,,,\n";
    private static final String VISITS = "person_id,kind,on\n";

    private static LevelCounts counted(String people, String visits) {
        Population records = Records.of(HEAD + people, VISITS + visits);
        return LevelCounts.of(new Evaluator(records, Records.TODAY).read(Records.set(records, """
                'include': [{'id': 'old', 'test': {'age': {'from': 50}}}],
                'exclude': [{'id': 'moved', 'unsure': 'fails', 'test': {'field': 'status', 'in': ['moved away']}}],
                'shouldHave': {'rule': 'any', 'of': [{'id': 'seen', 'test': {'events': {'kinds': ['visit']}}}]}""")));
    }

    @Test
    void of_two_halves_add_up_to_those_of_the_whole() {
        LevelCounts whole = counted(ONES + OTHERS, "a,visit,2026-01-01\nf,visit,\n");
        assertThat(counted(ONES, "a,visit,2026-01-01\n").plus(counted(OTHERS, "f,visit,\n")))
                .isEqualTo(whole);
        assertThat(whole.people()).isEqualTo(6);
        assertThat(whole.deceased()).isEqualTo(1);
        assertThat(whole.eligible()).isEqualTo(new Sides(2, 2));
        assertThat(whole.list()).isEqualTo(new Sides(0, 2));
    }

    @Test
    void of_nobody_add_nothing() {
        LevelCounts some = counted(ONES, "a,visit,2026-01-01\n");
        assertThat(some.plus(counted("", ""))).isEqualTo(some);
    }

    @Test
    void tell_who_is_left_but_of_what_should_be_on_record() {
        assertThat(counted(ONES, "").criteria())
                .extracting(
                        LevelCounts.OfCriterion::criterion,
                        one -> one.remaining().isPresent())
                .containsExactly(tuple("old", true), tuple("moved", true), tuple("seen", false));
    }
}
