package dipstick.server.rosters;

import dipstick.server.accounts.Accounts;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.criteria.CopiesChanged;
import dipstick.server.criteria.CriteriaChanges;
import dipstick.server.criteria.ListsOutdated;
import dipstick.server.criteria.SavedSet;
import dipstick.server.practice.Today;
import dipstick.server.web.EntityTag;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.security.Principal;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** The shared rosters: looked at, replaced, and no longer shared. */
@RestController
@RequestMapping("/api/rosters")
class RosterController {
    private final Rosters rosters;
    private final RosterChecks checks;
    private final CopiesChanged copies;
    private final Accounts accounts;
    private final AuditLog audit;
    private final Today today;
    private final ApplicationEventPublisher events;

    RosterController(
            Rosters rosters,
            RosterChecks checks,
            CopiesChanged copies,
            Accounts accounts,
            AuditLog audit,
            Today today,
            ApplicationEventPublisher events) {
        this.rosters = rosters;
        this.checks = checks;
        this.copies = copies;
        this.accounts = accounts;
        this.audit = audit;
        this.today = today;
        this.events = events;
    }

    /**
     * @param rows how many hold today
     * @param ended how many did
     * @param until the last day on which it holds; empty where it holds on
     * @param fromFile whether it came from a file, so that it knows how the next one is read
     * @param usedBy the names of the sets that hold it
     */
    record RosterSummary(
            String id,
            String name,
            List<String> key,
            int rows,
            int ended,
            String until,
            boolean fromFile,
            int version,
            String changedAt,
            String changedBy,
            List<String> usedBy) {}

    /** @param rows its rows, those that ended too */
    record RosterView(RosterSummary summary, List<RosterRow> rows) {}

    /**
     * @param people how many on file have just these values
     * @param until the last day on which the row holds; empty where it holds on
     */
    record RosterRow(List<String> cells, String until, int people) {}

    record RosterRowChange(
            @NotNull @Size(max = 20) List<@NotNull @Size(max = SharedRoster.Row.LONGEST_CELL) String> cells,
            @NotNull @Size(max = 10) String until) {}

    /** @param intake how the file was read that it came from; absent where it came from none */
    record RosterChange(
            @NotBlank @Size(max = 200) String name,
            @NotEmpty @Size(max = 20) List<@NotBlank String> key,
            @NotNull @Size(max = RosterFile.MOST_ROWS) List<@NotNull @Valid RosterRowChange> rows,
            @NotNull @Size(max = 10) String until,
            @Schema(nullable = true) Optional<JsonNode> intake) {}

    record RosterSaved(RosterSummary roster, List<CriteriaChanges.Rewritten> sets) {}

    @GetMapping
    List<RosterSummary> all() {
        return rosters.all().stream().map(this::summary).toList();
    }

    @GetMapping("/{id}")
    RosterView one(@PathVariable String id) {
        SharedRoster roster = rosters.get(id);
        audit.recordOnce(Act.PEOPLE_LISTED, "the roster " + id);
        return new RosterView(summary(roster), checks.rows(roster));
    }

    /** What changing it would do to the lists of the sets that hold it. */
    @PostMapping("/{id}/effects")
    List<CopiesChanged.Effect> effects(@PathVariable String id, @Valid @RequestBody RosterChange change) {
        SharedRoster next = checks.checked(id, change);
        return copies.effects(rosters.get(id).copies(), next.inDocument(today.day()));
    }

    /** Changes it, in all the sets that hold it; without If-Match it is new. */
    @PutMapping("/{id}")
    RosterSaved save(
            @PathVariable @Size(max = 200) String id,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Schema(nullable = true) String ifMatch,
            @Valid @RequestBody RosterChange change,
            Principal who) {
        Optional<Integer> expected = Optional.ofNullable(ifMatch).map(EntityTag::number);
        Rosters.Saved saved = rosters.save(checks.checked(id, change), expected, who.getName());
        events.publishEvent(new ListsOutdated(
                saved.sets().stream().map(CriteriaChanges.Rewritten::id).collect(Collectors.toSet())));
        return new RosterSaved(summary(saved.roster()), saved.sets());
    }

    /** Stops sharing it; the sets that hold it keep their copies. */
    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String id, @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch, Principal who) {
        rosters.remove(id, EntityTag.number(ifMatch), who.getName());
    }

    private RosterSummary summary(SharedRoster one) {
        int all = one.rows().size();
        int holding = one.rowsOn(today.day()).size();
        return new RosterSummary(
                one.id(),
                one.name(),
                one.key(),
                holding,
                all - holding,
                one.until(),
                !one.intake().isEmpty(),
                one.version(),
                one.changedAt().toString(),
                accounts.displayName(one.changedBy()),
                copies.holders(one.copies()).stream().map(SavedSet::name).toList());
    }
}
