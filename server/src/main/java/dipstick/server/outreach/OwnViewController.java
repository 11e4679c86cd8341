package dipstick.server.outreach;

import dipstick.server.accounts.Accounts;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** How whoever is signed in lays out the desk of a list; the one in use first. */
@RestController
@RequestMapping("/api/lists/{set}/desk/views")
class OwnViewController {
    private static final JsonMapper JSON = JsonMapper.shared();
    private static final TypeReference<List<OwnView>> VIEWS = new TypeReference<>() {};

    private final EntryMapper entries;
    private final Sharing sharing;
    private final Accounts accounts;

    OwnViewController(EntryMapper entries, Sharing sharing, Accounts accounts) {
        this.entries = entries;
        this.sharing = sharing;
        this.accounts = accounts;
    }

    /** @param columns the names of columns, in their order; what they mean is the browser's business */
    record OwnView(
            @NotBlank @Size(max = 60) String name,
            @NotNull @Size(max = 40) List<@Size(max = 40) String> columns,
            @NotNull @Size(max = 40) String sortBy,
            boolean descending,
            @NotNull @Size(max = 40) String groupBy) {}

    record OwnViews(@NotNull @Size(max = 30) List<@Valid OwnView> views) {}

    @GetMapping
    List<OwnView> get(@PathVariable String set) {
        sharing.require(set, Right.VIEW);
        return entries.views(accounts.here().name(), set)
                .map(written -> JSON.readValue(written, VIEWS))
                .orElse(List.of());
    }

    @PutMapping
    List<OwnView> put(@PathVariable String set, @Valid @RequestBody OwnViews wanted) {
        sharing.require(set, Right.VIEW);
        entries.keepViews(accounts.here().name(), set, JSON.writeValueAsString(wanted.views()));
        return get(set);
    }
}
