package dipstick.server.rosters;

import dipstick.server.accounts.Accounts;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.criteria.CopiesChanged;
import dipstick.server.criteria.CriteriaChanges;
import dipstick.server.practice.Today;
import dipstick.server.web.Problems;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.ErrorResponseException;

/** The rosters that are shared. A document whose copy says otherwise keeps it as its own. */
@Service
class Rosters {
    private final RosterMapper rosters;
    private final CriteriaChanges changes;
    private final CopiesChanged copies;
    private final Accounts accounts;
    private final AuditLog audit;
    private final Today today;

    Rosters(
            RosterMapper rosters,
            CriteriaChanges changes,
            CopiesChanged copies,
            Accounts accounts,
            AuditLog audit,
            Today today) {
        this.rosters = rosters;
        this.changes = changes;
        this.copies = copies;
        this.accounts = accounts;
        this.audit = audit;
        this.today = today;
    }

    List<SharedRoster> all() {
        return rosters.all();
    }

    SharedRoster get(String id) {
        return rosters.find(id)
                .orElseThrow(() -> Problems.refused(
                        HttpStatus.NOT_FOUND,
                        "no-such-roster",
                        "There is no shared roster of this name any more. Sets that hold it keep their copies."));
    }

    /** What a change of a roster did to the sets that hold it. */
    record Saved(SharedRoster roster, List<CriteriaChanges.Rewritten> sets) {}

    /**
     * Changes a shared roster, and the copies of the sets that hold it, each of which gets a new version.
     *
     * @param expected the version that the change was made to; nothing for a new one
     */
    @Transactional
    Saved save(SharedRoster next, Optional<Integer> expected, String who) {
        if (expected.isEmpty()) {
            if (rosters.find(next.id()).isPresent()) {
                throw Problems.preconditionRequired();
            }
            SharedRoster first = next.at(1, today.day(), today.now(), who);
            rosters.insert(first);
            audit.record(who, Act.ROSTER_SAVED, first.id() + ", version 1");
            return new Saved(first, List.of());
        }
        changes.lock();
        SharedRoster old = get(next.id());
        if (old.version() != expected.get()) {
            throw conflict(old);
        }
        return replace(old, next, "The roster “" + next.name() + "” was changed", who);
    }

    /** Takes rows out whose day is over; what did not end stays as it is. */
    @Transactional
    List<CriteriaChanges.Rewritten> end() {
        changes.lock();
        return rosters.all().stream()
                .filter(one -> one.rowsOn(one.copiedOn()).size()
                        != one.rowsOn(today.day()).size())
                .flatMap(one ->
                        replace(one, one, "Rows of the roster “" + one.name() + "” ended", one.changedBy())
                                .sets()
                                .stream())
                .toList();
    }

    private Saved replace(SharedRoster old, SharedRoster next, String note, String who) {
        SharedRoster saved = next.at(old.version() + 1, today.day(), today.now(), who);
        if (rosters.update(saved) != 1) {
            throw conflict(get(next.id()));
        }
        audit.record(who, Act.ROSTER_SAVED, saved.id() + ", version " + saved.version());
        return new Saved(saved, copies.replace(old.copies(), saved.inDocument(today.day()), note, who));
    }

    /** Stops sharing a roster. The sets that hold it keep their copies. */
    @Transactional
    void remove(String id, int seen, String who) {
        SharedRoster old = get(id);
        if (rosters.delete(id, seen) != 1) {
            throw conflict(old);
        }
        audit.record(who, Act.ROSTER_SAVED, id + ", removed");
    }

    private ErrorResponseException conflict(SharedRoster other) {
        return Problems.changedMeanwhile(accounts.displayName(other.changedBy()) + " changed the roster “"
                + other.name() + "” meanwhile. Nothing of yours was saved; open it again to see theirs.");
    }
}
