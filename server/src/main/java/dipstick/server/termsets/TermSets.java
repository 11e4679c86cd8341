package dipstick.server.termsets;

import dipstick.server.accounts.Accounts;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.criteria.CopiesChanged;
import dipstick.server.criteria.CriteriaChanges;
import dipstick.server.criteria.CriteriaPublished;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.SavedSet;
import dipstick.server.practice.Today;
import dipstick.server.web.Problems;
import java.util.List;
import java.util.Optional;
import org.springframework.boot.context.event.ApplicationStartedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.ErrorResponseException;
import tools.jackson.databind.JsonNode;

/**
 * The term sets that are shared. One comes to be shared when a set that holds it is published; a document whose copy
 * says otherwise keeps it as its own until somebody decides.
 */
@Service
class TermSets {
    private final TermSetMapper termSets;
    private final CriteriaSets sets;
    private final CriteriaChanges changes;
    private final CopiesChanged copies;
    private final Accounts accounts;
    private final AuditLog audit;
    private final Today today;

    TermSets(
            TermSetMapper termSets,
            CriteriaSets sets,
            CriteriaChanges changes,
            CopiesChanged copies,
            Accounts accounts,
            AuditLog audit,
            Today today) {
        this.termSets = termSets;
        this.sets = sets;
        this.changes = changes;
        this.copies = copies;
        this.accounts = accounts;
        this.audit = audit;
        this.today = today;
    }

    List<SharedTermSet> all() {
        return termSets.all();
    }

    SharedTermSet get(String id) {
        return termSets.find(id)
                .orElseThrow(() -> Problems.refused(
                        HttpStatus.NOT_FOUND,
                        "no-such-term-set",
                        "There is no shared term set of this name any more. Sets that hold it keep their copies."));
    }

    List<SharedTermSet> versions(String id) {
        return termSets.versions(get(id).id());
    }

    /** The sets that hold this term set as it is shared, in what is published or in what is being changed. */
    List<SavedSet> holders(SharedTermSet termSet) {
        return copies.holders(termSet.copies());
    }

    /** What a change of a term set did to the sets that hold it. */
    record Saved(SharedTermSet termSet, List<CriteriaChanges.Rewritten> sets) {}

    /**
     * Changes a shared term set, and the copies of the sets that hold it, each of which gets a new version.
     *
     * @param expected the version that the change was made to; nothing for a new one
     */
    @Transactional
    Saved save(SharedTermSet next, Optional<Integer> expected, String who) {
        if (expected.isEmpty()) {
            if (termSets.find(next.id()).isPresent()) {
                throw Problems.preconditionRequired();
            }
            return new Saved(insert(next, who), List.of());
        }
        changes.lock();
        SharedTermSet old = get(next.id());
        SharedTermSet saved = at(next, expected.get() + 1, who);
        if (old.version() != expected.get() || termSets.update(saved) != 1) {
            throw conflict(get(next.id()));
        }
        termSets.insertVersion(saved);
        audit.record(who, Act.TERM_SET_SAVED, saved.id() + ", version " + saved.version());
        String note = "The term set “" + saved.name() + "” was changed";
        return new Saved(saved, copies.replace(old.copies(), saved.inDocument(), note, who));
    }

    /** Stops sharing a term set. The sets that hold it keep their copies. */
    @Transactional
    void remove(String id, int seen, String who) {
        SharedTermSet old = get(id);
        if (termSets.delete(id, seen) != 1) {
            throw conflict(old);
        }
        termSets.deleteVersions(id);
        audit.record(who, Act.TERM_SET_SAVED, id + ", removed");
    }

    /** Term sets of sets that were published before any were shared. */
    @EventListener(ApplicationStartedEvent.class)
    @Transactional
    public void shareThoseThatAreNot() {
        sets.all().stream().filter(SavedSet::isPublished).forEach(set -> share(set.json(), set.changedBy()));
    }

    @EventListener
    void share(CriteriaPublished published) {
        share(published.document(), published.who());
    }

    private void share(JsonNode document, String who) {
        for (JsonNode one : document.path("termSets")) {
            String id = one.path("id").asString("");
            if (termSets.find(id).isEmpty()) {
                insert(
                        new SharedTermSet(
                                id,
                                one.path("name").asString(id),
                                one.path("members").toString(),
                                "[]",
                                0,
                                today.now(),
                                who),
                        who);
            }
        }
    }

    private SharedTermSet insert(SharedTermSet first, String who) {
        SharedTermSet saved = at(first, 1, who);
        termSets.insert(saved);
        termSets.insertVersion(saved);
        audit.record(who, Act.TERM_SET_SAVED, saved.id() + ", version 1");
        return saved;
    }

    private SharedTermSet at(SharedTermSet termSet, int version, String who) {
        return new SharedTermSet(
                termSet.id(), termSet.name(), termSet.members(), termSet.leftOut(), version, today.now(), who);
    }

    private ErrorResponseException conflict(SharedTermSet other) {
        return Problems.changedMeanwhile(accounts.displayName(other.changedBy()) + " changed the term set “"
                + other.name() + "” meanwhile. Nothing of yours was saved; open it again to see theirs.");
    }
}
