package dipstick.server.criteria;

import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.criteria.MemberReferences;
import dipstick.core.criteria.Problem;
import dipstick.core.records.RecordFields;
import dipstick.server.accounts.Accounts;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.practice.Today;
import dipstick.server.sharing.Sharing;
import dipstick.server.web.Problems;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.ErrorResponseException;
import tools.jackson.databind.JsonNode;

/** Saves, publishes, retires and removes criteria sets. */
@Service
public class CriteriaChanges {
    private final CriteriaMapper rows;
    private final CriteriaSets sets;
    private final CriteriaDocuments documents;
    private final Sharing sharing;
    private final Accounts accounts;
    private final AuditLog audit;
    private final Today today;
    private final ApplicationEventPublisher published;

    CriteriaChanges(
            CriteriaMapper rows,
            CriteriaSets sets,
            CriteriaDocuments documents,
            Sharing sharing,
            Accounts accounts,
            AuditLog audit,
            Today today,
            ApplicationEventPublisher published) {
        this.rows = rows;
        this.sets = sets;
        this.documents = documents;
        this.sharing = sharing;
        this.accounts = accounts;
        this.audit = audit;
        this.today = today;
        this.published = published;
    }

    /**
     * Saves what is being changed; the published version and its list stay as they are.
     *
     * @param expected the revision that the change was made to; nothing for a new set
     */
    @Transactional
    public SavedSet saveDraft(String id, String name, JsonNode document, Optional<Integer> expected, String who) {
        String draft = document.toString();
        if (expected.isEmpty()) {
            SavedSet first = new SavedSet(id, name, "", 0, draft, 1, false, today.now(), who);
            insert(first);
            sharing.begin(id, who);
            audit.record(who, Act.CRITERIA_SAVED, id + ", draft");
            return first;
        }
        SavedSet old = at(id, expected.get());
        SavedSet saved = update(old.with(name, old.document(), old.version(), draft), who);
        audit.record(who, Act.CRITERIA_SAVED, id + ", draft");
        return saved;
    }

    /** Goes back to what is published. */
    @Transactional
    SavedSet dropDraft(String id, int expected, String who) {
        SavedSet old = at(id, expected);
        if (!old.isPublished()) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "not-published",
                    "This set was never published, so there is nothing to go back to.");
        }
        SavedSet saved = update(old.with(old.publishedName(), old.document(), old.version(), ""), who);
        audit.record(who, Act.CRITERIA_SAVED, id + ", draft put away");
        return saved;
    }

    /**
     * Makes the draft the next version, which the list then follows, if it can be evaluated over these fields; checked and
     * published at once, while no other set changes.
     */
    @Transactional
    public SavedSet publish(String id, int expected, String note, String who, RecordFields fields) {
        rows.lock();
        SavedSet old = at(id, expected);
        check(who, old.latest(), fields);
        if (!old.hasDraft()) {
            return old;
        }
        SavedSet saved = update(old.with(old.name(), old.draft(), old.version() + 1, ""), who);
        keepVersion(saved, note);
        audit.record(who, Act.CRITERIA_PUBLISHED, id + ", version " + saved.version());
        published.publishEvent(new CriteriaPublished(id, saved.json(), who));
        return saved;
    }

    /** A set is published only if it can be evaluated, so that every list that is opened can be. */
    private void check(String who, JsonNode document, RecordFields fields) {
        // A practice that begins is filled before anybody has an account.
        Predicate<String> mayBeNamed = accounts.none() ? _ -> true : documents.maySee(accounts.colleague(who));
        try {
            documents.read(document, Map.of(), fields, mayBeNamed);
        } catch (InvalidCriteria invalid) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "invalid-criteria",
                    "This set cannot be evaluated, so it was not published. What is wrong is listed; the draft is kept.",
                    errors(invalid));
        }
        List<String> unpublished = sets.all().stream()
                .filter(set ->
                        !set.isPublished() && MemberReferences.namedIn(document).contains(set.id()))
                .map(SavedSet::name)
                .toList();
        if (!unpublished.isEmpty()) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "names-unpublished",
                    "This set names " + String.join(", ", unpublished)
                            + ", which was never published. Publish that first; the draft is kept.");
        }
    }

    private static List<Map<String, String>> errors(InvalidCriteria invalid) {
        return invalid.problems().values().stream()
                .flatMap(List::stream)
                .map((Problem problem) -> Map.of("pointer", problem.pointer(), "message", problem.message()))
                .toList();
    }

    /** Has other changes of sets wait until the transaction is over. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void lock() {
        rows.lock();
    }

    /**
     * Changes what a set says in all that is kept of it, its draft and its list, as when a term set that it shares is
     * changed. What does not change is left alone.
     *
     * @return the revision before and after; nothing where it says the same
     */
    @Transactional
    public Optional<Rewritten> rewrite(SavedSet set, UnaryOperator<JsonNode> how, String note, String who) {
        String document = set.isPublished() ? how.apply(set.json()).toString() : "";
        String draft = set.hasDraft() ? how.apply(set.latest()).toString() : "";
        boolean publishes = !document.equals(set.document());
        if (!publishes && draft.equals(set.draft())) {
            return Optional.empty();
        }
        int version = publishes ? set.version() + 1 : set.version();
        SavedSet saved = update(set.with(set.name(), document, version, draft), who);
        if (publishes) {
            keepVersion(saved, note);
            audit.record(who, Act.CRITERIA_PUBLISHED, set.id() + ", version " + version + ": " + note);
        }
        return Optional.of(new Rewritten(set.id(), set.revision(), saved.revision(), version));
    }

    /** A set that was changed from outside it, with its revision before and after, and the version it now has. */
    public record Rewritten(String id, int before, int after, int version) {}

    /** Takes a set out of use, or back into it. It is kept with its versions. */
    @Transactional
    SavedSet retire(String id, boolean retired, int expected, String who) {
        SavedSet saved = update(at(id, expected).retired(retired), who);
        audit.record(who, Act.CRITERIA_RETIRED, id + (retired ? "" : ", back in use"));
        return saved;
    }

    /** Removes a set that was never published. */
    @Transactional
    void remove(String id, int expected, String who) {
        if (at(id, expected).isPublished()) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "is-published",
                    "This set has been published, so it is kept for what was done by it. Retire it instead.");
        }
        if (rows.delete(id, expected) != 1) {
            throw conflict(sets.get(id));
        }
        sharing.end(id);
        audit.record(who, Act.CRITERIA_REMOVED, id);
    }

    /** The set where it is still at the revision that a change was made to. */
    private SavedSet at(String id, int revision) {
        SavedSet saved = sets.get(id);
        if (saved.revision() != revision) {
            throw conflict(saved);
        }
        return saved;
    }

    private SavedSet update(SavedSet next, String who) {
        SavedSet saved = next.changed(today.now(), who);
        if (rows.update(saved) != 1) {
            throw conflict(sets.get(next.id()));
        }
        return saved;
    }

    private void keepVersion(SavedSet saved, String note) {
        rows.insertVersion(new PublishedVersion(
                saved.id(),
                saved.name(),
                saved.document(),
                saved.version(),
                note,
                saved.changedAt(),
                saved.changedBy()));
    }

    private void insert(SavedSet saved) {
        try {
            rows.insert(saved);
        } catch (DuplicateKeyException taken) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "name-taken",
                    "There is a criteria set of this name already, maybe a colleague’s private one. Yours is kept here,"
                            + " not saved: give it another name.");
        }
    }

    private ErrorResponseException conflict(SavedSet other) {
        return Problems.changedMeanwhile(accounts.displayName(other.changedBy())
                + " changed this set meanwhile. Yours is kept here, not saved: look at theirs, or save yours"
                + " under another name.");
    }
}
