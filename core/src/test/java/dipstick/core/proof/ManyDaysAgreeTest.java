package dipstick.core.proof;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Records;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.evaluate.Evaluator;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** What is read ahead as of many days at once is what is read as of each of them. */
class ManyDaysAgreeTest {
    private static final int DOCUMENTS = 40;

    /** More than two words of a bit set, the last one not full. */
    private static final int PEOPLE = 150;

    /** More than are asked at once. */
    private static final int DAYS = 70;

    @Test
    void every_day_is_answered_as_by_itself() {
        int different = 0;
        for (int seed = 1; seed <= DOCUMENTS; seed++) {
            RandomCase one = RandomCase.of(seed, PEOPLE);
            CriteriaSet set = Records.sets(one.population(), one.documents().make());
            List<LocalDate> days = IntStream.range(0, DAYS)
                    .mapToObj(day -> one.asOf().minusDays(7L * day).plusDays(day % 3))
                    .toList();
            List<Evaluator> ahead = days.stream()
                    .map(day -> new Evaluator(one.population(), day))
                    .toList();
            Evaluator.readAhead(set, ahead);
            for (int i = 0; i < DAYS; i++) {
                assertThat(WholeAnswer.of(set, ahead.get(i)))
                        .as("seed %d as of %s", seed, days.get(i))
                        .isEqualTo(WholeAnswer.of(set, new Evaluator(one.population(), days.get(i))));
            }
            different += (int) ahead.stream()
                    .map(day -> WholeAnswer.of(set, day))
                    .distinct()
                    .count();
        }
        assertThat(different).as("days make a difference").isGreaterThan(5 * DOCUMENTS);
    }
}
