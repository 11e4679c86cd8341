package dipstick.server.outreach.plan;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.outreach.entries.Wording;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ContactPlanTest {
    private static final LocalDate DAY = LocalDate.of(2026, 2, 27);

    /** A letter; after 14 days a call; after 7 days another; then it is closed as no response. */
    private static final ContactPlan PLAN = new ContactPlan(
            List.of(
                    new ContactPlan.PlannedStep(Step.LETTER, 0),
                    new ContactPlan.PlannedStep(Step.CALL, 14),
                    new ContactPlan.PlannedStep(Step.CALL, 7),
                    new ContactPlan.PlannedStep(Step.CLOSE, 0)),
            10,
            3);

    @ParameterizedTest
    @CsvSource({
        // A letter went out: the call follows.
        "SENT, 0, 1, CALL, 2026-03-13",
        // Nobody answered the first call, then the second.
        "NOT_REACHED, 1, 2, CALL, 2026-03-06",
        "NOT_REACHED, 2, 3, CLOSE, 2026-02-27",
        // More tries than the plan has.
        "NOT_REACHED, 3, 4, CLOSE, 2026-02-27",
        "NOT_REACHED, 9, 10, CLOSE, 2026-02-27",
        // A wrong number is not called again.
        "WRONG_NUMBER, 0, 1, CLOSE, 2026-02-27",
        "WRONG_NUMBER, 1, 2, CLOSE, 2026-02-27",
        // The plan waits for what was agreed.
        "REACHED, 1, 1, LOOK, 2026-03-09",
        "BOOKED, 1, 1, LOOK, 2026-03-02",
        "DECLINED, 1, 1, CLOSE, 2026-02-27",
    })
    void an_outcome_says_what_comes_next_and_when(Effect effect, int before, int after, Step step, LocalDate on) {
        int stepsDone = PLAN.stepsDone(effect, before);
        assertThat(stepsDone).isEqualTo(after);
        assertThat(PLAN.after(effect, Standing.ON, stepsDone, DAY)).isEqualTo(new ContactPlan.Next(step, on));
    }

    @Test
    void whoever_joins_begins_with_the_first_step() {
        assertThat(PLAN.first(Standing.ON, DAY)).isEqualTo(new ContactPlan.Next(Step.LETTER, DAY));
        ContactPlan later = new ContactPlan(List.of(new ContactPlan.PlannedStep(Step.CALL, 2)), 0, 0);
        assertThat(later.first(Standing.ON, DAY)).isEqualTo(new ContactPlan.Next(Step.CALL, LocalDate.of(2026, 3, 1)));
    }

    @Test
    void a_wrong_number_goes_on_with_the_next_step_that_is_no_call() {
        ContactPlan callsFirst = new ContactPlan(
                List.of(
                        new ContactPlan.PlannedStep(Step.CALL, 0),
                        new ContactPlan.PlannedStep(Step.CALL, 7),
                        new ContactPlan.PlannedStep(Step.LETTER, 5)),
                0,
                0);
        int stepsDone = callsFirst.stepsDone(Effect.WRONG_NUMBER, 0);
        assertThat(callsFirst.after(Effect.WRONG_NUMBER, Standing.ON, stepsDone, DAY))
                .isEqualTo(new ContactPlan.Next(Step.LETTER, LocalDate.of(2026, 3, 4)));
    }

    @Test
    void every_step_has_words() {
        for (Step step : Step.values()) {
            assertThat(Wording.step(step).isEmpty()).as(step.name()).isEqualTo(step == Step.NONE);
        }
        assertThat(Wording.next(new ContactPlan.Next(Step.CALL, DAY))).isEqualTo("Call on 27 Feb 2026");
    }
}
