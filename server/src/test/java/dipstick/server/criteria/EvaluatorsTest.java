package dipstick.server.criteria;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.criteria.Test.Age;
import dipstick.core.criteria.Test.AgeDay;
import dipstick.core.evaluate.Answer;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.time.AgeSpan;
import dipstick.core.time.AgeUnit;
import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Visitor;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

class EvaluatorsTest {
    private static final Age OLD =
            new Age(new AgeSpan(OptionalInt.of(50), OptionalInt.empty(), AgeUnit.YEARS), new AgeDay.AsOf());

    @Test
    void what_was_answered_outlives_several_small_changes_that_nobody_asked_in_between() throws Exception {
        Evaluators evaluators = RunningServer.shared().bean(Evaluators.class);
        Visitor coordinator = People.coordinator();
        People.bringIn(coordinator, "id,birth_date\nkept-1,1950-01-01\nkept-2,1990-01-01\nkept-3,1990-01-01\n");
        evaluators.now().evaluator().answer(OLD);

        People.bringIn(coordinator, "id,birth_date\nkept-2,1951-01-01\n");
        People.bringIn(coordinator, "id,birth_date\nkept-3,1952-01-01\nkept-4,1953-01-01\n");
        long workedOut = evaluators.answers().workedOut();
        Evaluator now = evaluators.now().evaluator();
        Answer answer = now.answer(OLD);

        assertThat(evaluators.answers().workedOut()).isEqualTo(workedOut);
        assertThat(answer).isEqualTo(new Evaluator(now.population(), now.asOf()).answer(OLD));
        for (int i = 1; i <= 4; i++) {
            assertThat(answer.yes().get(now.population().find("kept-" + i).orElseThrow()))
                    .as("kept-%d", i)
                    .isTrue();
        }
    }
}
