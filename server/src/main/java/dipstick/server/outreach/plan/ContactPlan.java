package dipstick.server.outreach.plan;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;

/**
 * The steps in which a list's people are tried to be reached.
 *
 * @param steps one after another; each so many days after the one before, the first after joining
 * @param afterReached days after which it is looked whether what was agreed is on record
 * @param afterBooked the same after an appointment was made
 */
public record ContactPlan(
        @NotEmpty @Size(max = 12) List<@Valid PlannedStep> steps,
        @Min(0) @Max(365) int afterReached,
        @Min(0) @Max(365) int afterBooked) {
    static final ContactPlan USUAL = new ContactPlan(
            List.of(
                    new PlannedStep(Step.CALL, 0),
                    new PlannedStep(Step.CALL, 7),
                    new PlannedStep(Step.LETTER, 7),
                    new PlannedStep(Step.CLOSE, 28)),
            14,
            7);

    public ContactPlan {
        steps = List.copyOf(steps);
    }

    public record PlannedStep(
            @NotNull Step step, @Min(0) @Max(365) int afterDays) {}

    /** What is to be done, and on which day. */
    public record Next(Step step, LocalDate on) {}

    /** The first step for somebody who is on the list, or to check, from a day on: who is to check is looked at, not called. */
    public Next first(Standing standing, LocalDate on) {
        return moved(standing, 0, on);
    }

    /** The step for somebody who goes from one of the two piles to the other, from a day on: the plan goes on. */
    public Next moved(Standing to, int stepsDone, LocalDate on) {
        return to == Standing.CHECK ? new Next(Step.LOOK, on) : from(stepsDone, on, false);
    }

    /**
     * The step after an outcome. Having been called once does not put somebody who is to check onto the list: they are
     * looked at again.
     *
     * @param stepsDone how many steps are behind them, with the one that this came of
     */
    public Next after(Effect effect, Standing standing, int stepsDone, LocalDate day) {
        Next planned = switch (effect) {
            case REACHED -> new Next(Step.LOOK, day.plusDays(afterReached));
            case BOOKED -> new Next(Step.LOOK, day.plusDays(afterBooked));
            case DECLINED -> new Next(Step.CLOSE, day);
            case NOT_REACHED, SENT -> from(stepsDone, day, false);
            case WRONG_NUMBER -> from(stepsDone, day, true);
        };
        return standing == Standing.CHECK ? new Next(Step.LOOK, planned.on()) : planned;
    }

    /** How many steps are behind somebody after an outcome. */
    public int stepsDone(Effect effect, int before) {
        return effect.reached() ? before : before + 1;
    }

    private Next from(int stepsDone, LocalDate day, boolean noCall) {
        return steps.stream()
                .skip(stepsDone)
                .filter(step -> !noCall || step.step() != Step.CALL)
                .findFirst()
                .map(step -> planned(step, day))
                .orElse(new Next(Step.CLOSE, day));
    }

    private static Next planned(PlannedStep step, LocalDate from) {
        return new Next(step.step(), from.plusDays(step.afterDays()));
    }
}
