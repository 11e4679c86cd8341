package dipstick.server.termsets;

import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.criteria.TermSet;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.population.Events;
import dipstick.core.terms.Terms;
import dipstick.server.accounts.Accounts;
import dipstick.server.criteria.CopiesChanged;
import dipstick.server.criteria.CriteriaChanges;
import dipstick.server.criteria.CriteriaDocuments;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.Evaluators;
import dipstick.server.criteria.ListsOutdated;
import dipstick.server.criteria.SavedSet;
import dipstick.server.web.EntityTag;
import dipstick.server.web.Problems;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.security.Principal;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
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
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** The shared term sets, and the terms of the records that they are gathered from. */
@RestController
class TermSetController {
    private final TermSets termSets;
    private final CopiesChanged copies;
    private final CriteriaSets sets;
    private final CriteriaDocuments documents;
    private final Evaluators evaluators;
    private final Accounts accounts;
    private final ApplicationEventPublisher events;

    TermSetController(
            TermSets termSets,
            CopiesChanged copies,
            CriteriaSets sets,
            CriteriaDocuments documents,
            Evaluators evaluators,
            Accounts accounts,
            ApplicationEventPublisher events) {
        this.termSets = termSets;
        this.copies = copies;
        this.sets = sets;
        this.documents = documents;
        this.evaluators = evaluators;
        this.accounts = accounts;
        this.events = events;
    }

    /**
     * @param members as they stand in a document
     * @param leftOut members that were looked at and do not belong
     * @param usedBy the names of the sets that hold it
     */
    record TermSetView(
            String id,
            String name,
            List<JsonNode> members,
            List<JsonNode> leftOut,
            int version,
            String changedAt,
            String changedBy,
            List<String> usedBy) {}

    record TermSetChange(
            @NotBlank @Size(max = 200) String name,
            @NotNull @Size(max = 5_000) List<JsonNode> members,
            @NotNull @Size(max = 5_000) List<JsonNode> leftOut) {}

    /** A set that was changed with it, and its revision before and after. */
    record TermSetSaved(TermSetView termSet, List<CriteriaChanges.Rewritten> sets) {}

    /** @param since wordings first recorded after the term set was last changed are new */
    record Offered(String since, List<TermView> terms) {}

    /** The terms of the records whose words hold what is looked for, most frequent first. */
    @GetMapping("/api/records/terms")
    List<TermView> terms(@RequestParam(defaultValue = "") @Size(max = 200) String find) {
        return Terms.find(events(), find).stream().map(TermView::of).toList();
    }

    /** @param total how many there are; only the most frequent are given */
    record OutsideView(int total, List<TermView> terms) {}

    /** Codes and wordings on record that no term set means, neither a shared one nor one of a published set. */
    @GetMapping("/api/records/terms/outside")
    OutsideView outside() {
        List<TermSet> all = Stream.concat(
                        termSets.all().stream().map(SharedTermSet::inDocument),
                        sets.inForce().stream()
                                .flatMap(set -> set.json().path("termSets").valueStream()))
                .distinct()
                .map(this::read)
                .toList();
        Terms.Outside outside = Terms.outside(events(), all);
        return new OutsideView(
                outside.total(), outside.first().stream().map(TermView::of).toList());
    }

    @GetMapping("/api/term-sets")
    List<TermSetView> all() {
        return termSets.all().stream().map(this::view).toList();
    }

    /** The newest version first. */
    @GetMapping("/api/term-sets/{id}/versions")
    List<TermSetView> versions(@PathVariable String id) {
        return termSets.versions(id).stream().map(this::view).toList();
    }

    /** Wordings on record that may belong to it, though none of its members means them. */
    @GetMapping("/api/term-sets/{id}/offered")
    Offered offered(@PathVariable String id) {
        SharedTermSet termSet = termSets.get(id);
        TermSet leftOut = read(termSet.inDocument().set("members", termSet.leftOutAsJson()));
        return new Offered(
                termSet.changedAt().toString(),
                Terms.resembling(events(), read(termSet.inDocument()), leftOut.members()).stream()
                        .map(TermView::of)
                        .toList());
    }

    /** What changing it would do to the lists of the sets that hold it. */
    @PostMapping("/api/term-sets/{id}/effects")
    List<CopiesChanged.Effect> effects(@PathVariable String id, @Valid @RequestBody TermSetChange change) {
        SharedTermSet next = checked(id, change);
        return copies.effects(termSets.get(id).copies(), next.inDocument());
    }

    /** Changes it, in all the sets that hold it; without If-Match it is new. */
    @PutMapping("/api/term-sets/{id}")
    TermSetSaved save(
            @PathVariable String id,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Schema(nullable = true) String ifMatch,
            @Valid @RequestBody TermSetChange change,
            Principal who) {
        Optional<Integer> expected = Optional.ofNullable(ifMatch).map(EntityTag::number);
        TermSets.Saved saved = termSets.save(checked(id, change), expected, who.getName());
        events.publishEvent(new ListsOutdated(
                saved.sets().stream().map(CriteriaChanges.Rewritten::id).collect(Collectors.toSet())));
        return new TermSetSaved(view(saved.termSet()), saved.sets());
    }

    /** Stops sharing it; the sets that hold it keep their copies. */
    @DeleteMapping("/api/term-sets/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String id, @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch, Principal who) {
        termSets.remove(id, EntityTag.number(ifMatch), who.getName());
    }

    private SharedTermSet checked(String id, TermSetChange change) {
        SharedTermSet next = new SharedTermSet(
                id, change.name(), list(change.members()), list(change.leftOut()), 0, Instant.EPOCH, "");
        read(next.inDocument());
        read(next.inDocument().set("members", next.leftOutAsJson()));
        return next;
    }

    private static String list(List<JsonNode> members) {
        ArrayNode list = JsonNodeFactory.instance.arrayNode();
        members.forEach(list::add);
        return list.toString();
    }

    /** Reads a term set as a document would; says what is wrong with it where it cannot. */
    private TermSet read(JsonNode termSet) {
        ObjectNode document = JsonNodeFactory.instance
                .objectNode()
                .put("format", "dipstick-criteria/1")
                .put("id", "one")
                .put("name", "one");
        document.putArray("termSets").add(termSet);
        Evaluator evaluator = evaluators.asOf(Optional.empty());
        try {
            CriteriaSet set =
                    documents.read(document, Map.of(), evaluator.population().fields());
            return set.termSets().getFirst();
        } catch (InvalidCriteria invalid) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "invalid-term-set",
                    "This cannot be a term set, so nothing was saved: "
                            + invalid.problems()
                                    .values()
                                    .iterator()
                                    .next()
                                    .getFirst()
                                    .message());
        }
    }

    private Events events() {
        return evaluators.asOf(Optional.empty()).population().events();
    }

    private TermSetView view(SharedTermSet one) {
        return new TermSetView(
                one.id(),
                one.name(),
                one.inDocument().get("members").valueStream().toList(),
                one.leftOutAsJson().valueStream().toList(),
                one.version(),
                one.changedAt().toString(),
                accounts.displayName(one.changedBy()),
                termSets.holders(one).stream().map(SavedSet::name).toList());
    }
}
