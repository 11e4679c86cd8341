package dipstick.server.criteria;

import dipstick.core.doubts.Doubts;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Reading;
import dipstick.server.accounts.Accounts;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import java.security.Principal;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** The versions of a saved set: who saved each, when, and what it changed in words and in people. */
@RestController
@RequestMapping("/api/criteria/{id}/versions")
class VersionsController {
    private static final String DOES_NOT_FIT =
            "It cannot be evaluated over the records of now, so its people cannot be compared.";

    private final CriteriaSets sets;
    private final CriteriaDocuments documents;
    private final Evaluators evaluators;
    private final Sharing sharing;
    private final Accounts accounts;

    VersionsController(
            CriteriaSets sets, CriteriaDocuments documents, Evaluators evaluators, Sharing sharing, Accounts accounts) {
        this.sets = sets;
        this.documents = documents;
        this.sharing = sharing;
        this.evaluators = evaluators;
        this.accounts = accounts;
    }

    /** The newest first. */
    @GetMapping
    List<SetVersion> all(@PathVariable String id) {
        sharing.require(id, Right.VIEW);
        Evaluator evaluator = evaluators.asOf(Optional.empty());
        List<SetVersion> versions = new ArrayList<>();
        Optional<Reading> before = Optional.empty();
        for (PublishedVersion saved : sets.versions(id)) {
            Optional<Reading> reading = documents.readingOf(saved.json(), evaluator);
            versions.addFirst(version(saved, evaluator, before, reading));
            before = reading;
        }
        return versions;
    }

    /** What the set said at a version. */
    @GetMapping("/{version}")
    JsonNode document(@PathVariable String id, @PathVariable int version) {
        sharing.require(id, Right.VIEW);
        return sets.version(id, version).json();
    }

    /** What a document would change if it were published as this set, which need not be there yet. */
    @PostMapping("/next")
    SetVersion next(@PathVariable String id, @RequestBody JsonNode document, Principal who) {
        Optional<SavedSet> set = sets.find(id)
                .filter(SavedSet::isPublished)
                .filter(_ -> sharing.here(id).includes(Right.VIEW));
        Evaluator evaluator = evaluators.asOf(Optional.empty());
        PublishedVersion next = new PublishedVersion(
                id,
                document.path("name").asString(id),
                document.toString(),
                set.map(SavedSet::version).orElse(0) + 1,
                "",
                Instant.now(),
                who.getName());
        return version(
                next,
                evaluator,
                set.flatMap(one -> documents.readingOf(one.json(), evaluator)),
                documents.readingHere(document, evaluator));
    }

    private SetVersion version(
            PublishedVersion saved, Evaluator evaluator, Optional<Reading> before, Optional<Reading> reading) {
        boolean comparable = before.isPresent() && reading.isPresent();
        List<String> changes = comparable
                ? SetVersion.changes(
                        before.get().set(), reading.get().set(), reading.get().asOf())
                : reading.isPresent() ? List.of() : List.of(DOES_NOT_FIT);
        return new SetVersion(
                saved.version(),
                saved.changedAt().toString(),
                accounts.displayName(saved.changedBy()),
                saved.note(),
                changes,
                reading.map(one -> one.list().yesCount()).orElse(0),
                reading.map(one -> one.list().unsureCount()).orElse(0),
                comparable ? reading.get().onListAndNotAt(before.get()).cardinality() : 0,
                comparable ? before.get().onListAndNotAt(reading.get()).cardinality() : 0,
                reading.map(one -> Doubts.messages(evaluator, one)).orElse(List.of()));
    }
}
