package dipstick.server.outreach.plan;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * How a list is worked.
 *
 * @param target how many percent of the eligible are meant to have what they should have; nothing where nobody said
 * @param called what it is called to the people on it, as in a letter; empty where it is not named to them
 */
public record Manner(
        @NotNull @Valid ContactPlan plan,
        @NotNull @Valid HoldRules hold,
        @NotNull @Size(max = 40) List<@Valid ListPart> parts,
        @Size(max = 200) String called,
        Optional<@Min(1) @Max(100) Integer> target) {
    public static final Manner USUAL = new Manner(ContactPlan.USUAL, HoldRules.USUAL, List.of(), "", Optional.empty());

    public Manner {
        parts = List.copyOf(parts);
        // Manners that were kept before there was such a name have none.
        called = Objects.requireNonNullElse(called, "");
        target = Objects.requireNonNullElse(target, Optional.empty());
    }

    public Manner withTarget(int percent) {
        return new Manner(plan, hold, parts, called, Optional.of(percent));
    }
}
