package dipstick.server.outreach.desk;

import dipstick.server.accounts.Accounts;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import dipstick.server.web.EntityTag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** How whoever is signed in lays out the desk of a list; the one in use first. */
@RestController
@RequestMapping("/api/lists/{set}/desk/views")
class OwnViewController {
    /** A column may be called by the label of a criterion. */
    private static final int LONGEST_COLUMN = 300;

    private final OwnViews views;
    private final Sharing sharing;
    private final Accounts accounts;

    OwnViewController(OwnViews views, Sharing sharing, Accounts accounts) {
        this.views = views;
        this.sharing = sharing;
        this.accounts = accounts;
    }

    /** @param columns the names of columns, in their order; what they mean is the browser's business */
    record OwnView(
            @NotBlank @Size(max = 60) String name,
            @NotNull @Size(max = 40) List<@Size(max = LONGEST_COLUMN) String> columns,
            @NotNull @Size(max = LONGEST_COLUMN) String sortBy,
            boolean descending,
            @NotNull @Size(max = LONGEST_COLUMN) String groupBy) {}

    record OwnViewsChange(@NotNull @Size(max = 30) List<@Valid OwnView> views) {}

    /** @param revision 0 where nothing was kept yet */
    record OwnViewsKept(List<OwnView> views, int revision) {}

    @GetMapping
    OwnViewsKept get(@PathVariable String set) {
        sharing.require(set, Right.VIEW);
        String account = accounts.here().name();
        return new OwnViewsKept(views.of(account, set), views.revision(account, set));
    }

    @PutMapping
    OwnViewsKept put(
            @PathVariable String set,
            @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch,
            @Valid @RequestBody OwnViewsChange wanted) {
        sharing.require(set, Right.VIEW);
        views.save(accounts.here().name(), set, wanted.views(), EntityTag.number(ifMatch));
        return get(set);
    }
}
