package dipstick.server.criteria;

import dipstick.server.accounts.Accounts;
import dipstick.server.records.Views;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Shared;
import dipstick.server.sharing.Sharing;
import dipstick.server.web.EntityTag;
import dipstick.server.web.Problems;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.security.Principal;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
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

/** The saved criteria sets. A change names the revision it was made to, as an entity tag (RFC 9110, If-Match). */
@RestController
@RequestMapping("/api/criteria")
class CriteriaController {
    private final CriteriaSets sets;
    private final CriteriaChanges changes;
    private final Sharing sharing;
    private final Accounts accounts;
    private final Views views;
    private final ApplicationEventPublisher events;

    CriteriaController(
            CriteriaSets sets,
            CriteriaChanges changes,
            Sharing sharing,
            Accounts accounts,
            Views views,
            ApplicationEventPublisher events) {
        this.sets = sets;
        this.changes = changes;
        this.sharing = sharing;
        this.accounts = accounts;
        this.views = views;
        this.events = events;
    }

    /**
     * @param version how often it was published
     * @param draft whether it is being changed, or was never published
     * @param owner whose it is, by their name
     * @param mine whether it belongs to whoever asks
     * @param right what whoever asks may do with it
     * @param sharing “private”, or with whom it is shared
     */
    record SetSummary(
            String id,
            String name,
            String purpose,
            int version,
            int revision,
            boolean draft,
            boolean retired,
            String changedAt,
            String changedBy,
            String owner,
            boolean mine,
            Right right,
            String sharing) {}

    /** @param document what is being changed, else what is published */
    record SetDocument(
            int version,
            int revision,
            boolean draft,
            boolean retired,
            String changedAt,
            String changedBy,
            JsonNode document) {}

    record Publishing(@NotNull @Size(max = 2000) String note) {}

    record Retiring(boolean retired) {}

    @GetMapping
    List<SetSummary> all() {
        return sets.all().stream()
                .filter(set -> sharing.here(set.id()).includes(Right.VIEW))
                .map(this::summary)
                .toList();
    }

    private SetSummary summary(SavedSet set) {
        Shared shared = sharing.of(set.id());
        return new SetSummary(
                set.id(),
                set.name(),
                set.latest().path("purpose").asString(""),
                set.version(),
                set.revision(),
                set.hasDraft(),
                set.retired(),
                set.changedAt().toString(),
                accounts.displayName(set.changedBy()),
                accounts.displayName(shared.owner()),
                shared.owner().equals(accounts.here().name()),
                sharing.here(set.id()),
                sharing.withWhom(set.id()));
    }

    @GetMapping("/{id}")
    ResponseEntity<SetDocument> get(@PathVariable String id) {
        sharing.require(id, Right.VIEW);
        return answer(sets.get(id));
    }

    /**
     * Saves what is being changed, also while something in it is wrong; its list stays as it is published.
     *
     * @param ifNoneMatch {@code *} for a new set, which then is told if its name is taken (RFC 9110, If-None-Match)
     */
    @PutMapping("/{id}")
    ResponseEntity<SetDocument> save(
            @PathVariable String id,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Schema(nullable = true) String ifMatch,
            @RequestHeader(name = HttpHeaders.IF_NONE_MATCH, required = false) @Schema(nullable = true)
                    String ifNoneMatch,
            @RequestBody JsonNode document,
            Principal who) {
        String name = document.path("name").asString("");
        if (!document.path("id").asString("").equals(id) || name.isBlank()) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "other-id",
                    "The document needs a name, and its id must be that of the address.");
        }
        Optional<Integer> expected = Optional.ofNullable(ifMatch).map(EntityTag::number);
        if (expected.isPresent()) {
            sharing.require(id, Right.CHANGE);
        } else if (ifNoneMatch == null && sharing.here(id).includes(Right.VIEW)) {
            throw Problems.preconditionRequired();
        }
        return answer(changes.saveDraft(id, name, document, expected, who.getName()));
    }

    /** Publishes the draft, which the list then follows. */
    @PostMapping("/{id}/publish")
    ResponseEntity<SetDocument> publish(
            @PathVariable String id,
            @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch,
            @Valid @RequestBody Publishing publishing,
            Principal who) {
        sharing.require(id, Right.CHANGE);
        SavedSet published = changes.publish(
                id,
                EntityTag.number(ifMatch),
                publishing.note(),
                who.getName(),
                views.current().population().fields());
        events.publishEvent(new ListsOutdated(Set.of(id)));
        return answer(published);
    }

    /** Goes back to what is published. */
    @DeleteMapping("/{id}/draft")
    ResponseEntity<SetDocument> dropDraft(
            @PathVariable String id, @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch, Principal who) {
        sharing.require(id, Right.CHANGE);
        return answer(changes.dropDraft(id, EntityTag.number(ifMatch), who.getName()));
    }

    @PutMapping("/{id}/retired")
    ResponseEntity<SetDocument> retire(
            @PathVariable String id,
            @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch,
            @RequestBody Retiring retiring,
            Principal who) {
        sharing.require(id, Right.CHANGE);
        SavedSet retired = changes.retire(id, retiring.retired(), EntityTag.number(ifMatch), who.getName());
        events.publishEvent(new ListsOutdated(Set.of(id)));
        return answer(retired);
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String id, @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch, Principal who) {
        sharing.require(id, Right.CHANGE);
        changes.remove(id, EntityTag.number(ifMatch), who.getName());
    }

    private ResponseEntity<SetDocument> answer(SavedSet set) {
        return ResponseEntity.ok()
                .eTag(EntityTag.of(set.revision()))
                .body(new SetDocument(
                        set.version(),
                        set.revision(),
                        set.hasDraft(),
                        set.retired(),
                        set.changedAt().toString(),
                        accounts.displayName(set.changedBy()),
                        set.latest()));
    }
}
