package dipstick.core.evaluate;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Records;
import dipstick.core.population.Population;
import org.junit.jupiter.api.Test;

/** Answers that outlive a change of the records, but for those who were read anew. */
class AnswerCacheTest {
    private static final Population PEOPLE =
            Records.of("id,birth_date\na,1950-02-03\nb,1990-12-31\nc,1960-01-01\n", "person_id,kind\n");
    private static final dipstick.core.criteria.Test OLD = Records.set(
                    PEOPLE, "'include': [{'id': 'old', 'test': {'age': {'from': 50}}}]")
            .include()
            .getFirst()
            .test();

    private final KeptAnswers kept = new KeptAnswers(1_000_000);
    private final AnswerCache answers = new AnswerCache(kept);

    /** Who is the third of all is read anew, with another birth date. */
    private static Evaluator thirdBorn(String birthDate) {
        return new Evaluator(Records.of("id,birth_date\nc," + birthDate + "\n", "person_id,kind\n"), Records.TODAY);
    }

    private Answer asked() {
        return new Evaluator(PEOPLE, Records.TODAY).answer(OLD);
    }

    @Test
    void hold_for_everybody_else_after_some_were_read_anew() {
        answers.keep(OLD, asked());
        AnswerCache after = answers.after(thirdBorn("2000-01-01"), new int[] {2});
        Answer now = after.known(OLD).orElseThrow();
        assertThat(now.yes().stream()).containsExactly(0);
        assertThat(asked().yes().stream()).as("of before").containsExactly(0, 2);
        assertThat(after.after(thirdBorn(""), new int[] {2}).known(OLD).orElseThrow().unsure().stream())
                .containsExactly(2);
    }

    @Test
    void that_were_brought_up_are_kept_and_not_brought_up_again() {
        answers.keep(OLD, asked());
        AnswerCache after = answers.after(thirdBorn("2000-01-01"), new int[] {2});
        after.known(OLD);
        answers.forget();
        assertThat(after.known(OLD)).isPresent();
        assertThat(kept.figures().answers()).isEqualTo(1);
        after.forget();
        assertThat(kept.figures().answers()).isZero();
        assertThat(kept.figures().bytes()).isZero();
    }

    @Test
    void that_nobody_asked_for_through_four_changes_are_gone() {
        answers.keep(OLD, asked());
        AnswerCache now = answers;
        for (int change = 1; change <= 4; change++) {
            now = now.after(thirdBorn("2000-01-01"), new int[] {2});
        }
        assertThat(kept.figures().answers()).isEqualTo(1);
        AnswerCache fifth = now.after(thirdBorn("2000-01-01"), new int[] {2});
        assertThat(kept.figures().answers()).isZero();
        assertThat(fifth.known(OLD)).isEmpty();
        assertThat(fifth.get(OLD, this::asked)).isEqualTo(asked());
    }
}
