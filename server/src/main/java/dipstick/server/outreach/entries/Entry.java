package dipstick.server.outreach.entries;

import dipstick.server.outreach.plan.ContactPlan;
import dipstick.server.outreach.plan.Standing;
import dipstick.server.outreach.plan.Step;
import java.time.LocalDate;

/**
 * Somebody who is or was on a list, and how far the colleagues are with them.
 *
 * @param standing where they stood at the last reading: on, to check, or off
 * @param dueOn a date, "never", or empty, as at the last reading they were on
 * @param why the sentence that says why they joined, are done, or left
 * @param stepsDone how many steps of the contact plan are behind them
 * @param nextOn an ISO date, or empty where nothing comes next
 * @param revision by which changes that cross each other are told
 */
public record Entry(
        long id,
        String setId,
        String person,
        Standing standing,
        State state,
        String dueOn,
        String band,
        LocalDate joinedOn,
        String why,
        int stepsDone,
        Step nextStep,
        String nextOn,
        int revision,
        LocalDate changedOn) {
    public enum State {
        TO_CONTACT,
        IN_PROGRESS,
        /** What should be on record is. */
        DONE,
        /** Off the list for another reason. */
        LEFT,
        /** Closed by a colleague, though still on the list. */
        CLOSED;

        public boolean isOpen() {
            return this == TO_CONTACT || this == IN_PROGRESS;
        }
    }

    /** Somebody new on a list. */
    public static Entry joined(String set, String person, Standing standing, LocalDate on, String why) {
        return new Entry(0, set, person, standing, State.TO_CONTACT, "", "", on, why, 0, Step.NONE, "", 1, on);
    }

    public boolean isOpen() {
        return state.isOpen();
    }

    public Entry with(State newState, int newStepsDone, Step step, String on, LocalDate day) {
        return new Entry(
                id,
                setId,
                person,
                standing,
                newState,
                dueOn,
                band,
                joinedOn,
                why,
                newStepsDone,
                step,
                on,
                revision,
                day);
    }

    public Entry with(State newState, ContactPlan.Next next, int newStepsDone, LocalDate day) {
        return with(newState, newStepsDone, next.step(), next.on().toString(), day);
    }

    /** With nothing to be done next. */
    public Entry ended(State newState, LocalDate day) {
        return with(newState, stepsDone, Step.NONE, "", day);
    }

    public Entry standing(Standing newStanding, String newWhy) {
        return new Entry(
                id,
                setId,
                person,
                newStanding,
                state,
                dueOn,
                band,
                joinedOn,
                newWhy,
                stepsDone,
                nextStep,
                nextOn,
                revision,
                changedOn);
    }

    /** Whether colleagues are further with it than with another one of the same person on the same list. */
    public boolean isFurtherThan(Entry other) {
        return howFar() > other.howFar() || (howFar() == other.howFar() && stepsDone > other.stepsDone);
    }

    private int howFar() {
        if (standing == Standing.OFF) {
            return 0;
        }
        return switch (state) {
            case TO_CONTACT, DONE, LEFT -> 1;
            case IN_PROGRESS -> 2;
            case CLOSED -> 3;
        };
    }

    /** Where another one of the same person on the same list is. */
    public Entry inPlaceOf(Entry other) {
        return new Entry(
                id,
                setId,
                person,
                other.standing,
                other.state,
                other.dueOn,
                other.band,
                other.joinedOn,
                other.why,
                other.stepsDone,
                other.nextStep,
                other.nextOn,
                revision,
                other.changedOn);
    }

    public Entry asRead(String newDueOn, String newBand) {
        return new Entry(
                id, setId, person, standing, state, newDueOn, newBand, joinedOn, why, stepsDone, nextStep, nextOn,
                revision, changedOn);
    }

    /** On the list from now on, or to check; what colleagues did stays. */
    public Entry movedPile(LocalDate on, ContactPlan.Next next) {
        return new Entry(
                id,
                setId,
                person,
                standing,
                state,
                dueOn,
                band,
                standing == Standing.ON ? on : joinedOn,
                why,
                stepsDone,
                next.step(),
                next.on().toString(),
                revision,
                changedOn);
    }

    public Entry rejoined(LocalDate on) {
        return new Entry(
                id, setId, person, standing, State.TO_CONTACT, dueOn, band, on, why, 0, Step.NONE, "", revision, on);
    }
}
