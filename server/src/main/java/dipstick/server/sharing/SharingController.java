package dipstick.server.sharing;

import dipstick.server.accounts.Accounts;
import dipstick.server.web.EntityTag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** With whom a set and its list are shared. */
@RestController
@RequestMapping("/api/sharing/{set}")
class SharingController {
    private final Sharing sharing;
    private final Accounts accounts;

    SharingController(Sharing sharing, Accounts accounts) {
        this.sharing = sharing;
        this.accounts = accounts;
    }

    record Grant(
            @NotNull Share.Kind kind,
            @NotBlank String grantee,
            @NotNull Right granted) {}

    /** @param mine what whoever asks may do with it */
    record SharingView(String owner, String ownerName, Right everybody, List<Grant> shares, Right mine, int revision) {}

    record SharingChange(
            @NotBlank String owner,
            @NotNull Right everybody,
            @NotNull List<@Valid Grant> shares) {}

    @GetMapping
    SharingView get(@PathVariable String set) {
        sharing.require(set, Right.VIEW);
        Shared shared = sharing.of(set);
        return new SharingView(
                shared.owner(),
                accounts.displayName(shared.owner()),
                shared.everybody(),
                sharing.shares(set).stream()
                        .map(share -> new Grant(share.kind(), share.grantee(), share.granted()))
                        .toList(),
                sharing.here(set),
                shared.revision());
    }

    @PutMapping
    SharingView put(
            @PathVariable String set,
            @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch,
            @Valid @RequestBody SharingChange change) {
        sharing.require(set, Right.CHANGE);
        sharing.save(
                new Shared(set, change.owner(), change.everybody(), EntityTag.number(ifMatch) + 1),
                change.shares().stream()
                        .map(grant -> new Share(set, grant.kind(), grant.grantee(), grant.granted()))
                        .distinct()
                        .toList());
        return get(set);
    }
}
