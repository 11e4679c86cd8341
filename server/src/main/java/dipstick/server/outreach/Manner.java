package dipstick.server.outreach;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Objects;

/**
 * How a list is worked.
 *
 * @param called what it is called to the people on it, as in a letter; empty where it is not named to them
 */
record Manner(
        @NotNull @Valid ContactPlan plan,
        @NotNull @Valid HoldRules hold,
        @NotNull @Size(max = 40) List<@Valid ListPart> parts,
        @Size(max = 200) String called) {
    static final Manner USUAL = new Manner(ContactPlan.USUAL, HoldRules.USUAL, List.of(), "");

    Manner {
        parts = List.copyOf(parts);
        // Manners that were kept before there was such a name have none.
        called = Objects.requireNonNullElse(called, "");
    }
}
