package dipstick.server.outreach.plan;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;

/**
 * A part of a list, cut out for some colleagues.
 *
 * @param sites of whose people it is made; empty for all
 * @param providers likewise
 * @param colleagues to whom it is given: the desk opens on it for them
 */
public record ListPart(
        @NotBlank @Size(max = 100) String name,
        @NotNull List<String> sites,
        @NotNull List<String> providers,
        @NotNull List<String> colleagues) {
    public ListPart {
        sites = List.copyOf(sites);
        providers = List.copyOf(providers);
        colleagues = List.copyOf(colleagues);
    }
}
