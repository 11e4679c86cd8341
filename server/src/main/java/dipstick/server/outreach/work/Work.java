package dipstick.server.outreach.work;

import dipstick.server.outreach.plan.Step;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;

/**
 * Something to be done about people of a list.
 *
 * @param batch a name for it that the browser makes up, so that it is done once however often it is sent
 * @param part the number of this part of it, where it is about more people than are sent at once; 0 where absent
 * @param outcome of an attempt: the id of an outcome
 * @param words a note, or the reason where somebody is closed or excused
 * @param step what comes next, where it is not what the contact plan says
 * @param day of the next step, or the last day of being excused; empty for the plan's day, or for ever
 * @param to the sign-in name of the colleague to whom they are given
 * @param everywhere whether it holds for all lists that they are on, rather than for this one
 */
public record Work(
        @NotNull Kind kind,
        @NotBlank @Size(max = 36) String batch,
        Optional<@Min(0) Integer> part,
        @NotEmpty @Size(max = 2000) List<@Valid Target> people,
        @NotNull @Size(max = 60) String outcome,
        @NotNull @Size(max = 2000) String words,
        @NotNull Step step,

        @NotNull @Pattern(regexp = "(\\d{4}-\\d{2}-\\d{2})?")
        String day,

        @NotNull @Size(max = 100) String to,
        boolean everywhere) {
    int partNumber() {
        return part.orElse(0);
    }

    /** @param revision of the entry, as whoever does it saw it */
    record Target(@NotBlank String person, int revision) {}

    enum Kind {
        TAKE,
        LET_GO,
        GIVE,
        ATTEMPT,
        NOTE,
        PLAN,
        CLOSE,
        REOPEN,
        EXCUSE,
        BRING_BACK
    }
}
