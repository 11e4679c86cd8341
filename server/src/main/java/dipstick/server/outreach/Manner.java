package dipstick.server.outreach;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;

/** How a list is worked. */
record Manner(
        @NotNull @Valid ContactPlan plan,
        @NotNull @Valid HoldRules hold,
        @NotNull @Size(max = 40) List<@Valid ListPart> parts) {
    static final Manner USUAL = new Manner(ContactPlan.USUAL, HoldRules.USUAL, List.of());

    Manner {
        parts = List.copyOf(parts);
    }
}
