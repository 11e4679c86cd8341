package dipstick.server.criteria;

import dipstick.core.criteria.CriteriaReader;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.CriteriaSource;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.criteria.MemberReferences;
import dipstick.core.records.Fields;
import dipstick.server.accounts.Accounts;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.practice.Today;
import dipstick.server.web.Problems;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.ErrorResponseException;
import tools.jackson.databind.JsonNode;

/** The saved criteria sets. */
@Service
public class CriteriaSets {
    private final CriteriaMapper sets;
    private final Accounts accounts;
    private final AuditLog audit;
    private final Today today;

    CriteriaSets(CriteriaMapper sets, Accounts accounts, AuditLog audit, Today today) {
        this.sets = sets;
        this.accounts = accounts;
        this.audit = audit;
        this.today = today;
    }

    public List<SavedSet> all() {
        return sets.all();
    }

    public SavedSet get(String id) {
        return sets.find(id)
                .orElseThrow(() -> Problems.refused(
                        HttpStatus.NOT_FOUND,
                        "no-such-set",
                        "There is no criteria set of this name any more. Somebody may have removed it."));
    }

    /** All versions of a set, the first one first. */
    List<SavedSet> versions(String id) {
        return sets.versions(get(id).id());
    }

    SavedSet version(String id, int version) {
        return sets.version(id, version)
                .orElseThrow(() -> Problems.refused(
                        HttpStatus.NOT_FOUND, "no-such-version", "This set has no version " + version + "."));
    }

    /**
     * Reads a document, with the saved sets that it names.
     *
     * @throws InvalidCriteria with everything that is wrong with it or with one of those
     */
    public CriteriaSet read(JsonNode document, Map<String, String> settings, Fields fields) throws InvalidCriteria {
        List<CriteriaSource> sources = new ArrayList<>();
        CriteriaSource first = new CriteriaSource("", document);
        sources.add(first);
        addNamed(document, first.id(), sources);
        return CriteriaReader.read(sources, settings, fields, today.zone());
    }

    private void addNamed(JsonNode document, String from, List<CriteriaSource> sources) {
        for (String id : MemberReferences.namedIn(document)) {
            boolean known = id.equals(from)
                    || sources.stream().anyMatch(source -> source.id().equals(id));
            Optional<SavedSet> saved = known ? Optional.empty() : sets.find(id);
            if (saved.isPresent()) {
                CriteriaSource source =
                        new CriteriaSource(saved.get().name(), saved.get().json());
                sources.add(source);
                addNamed(source.json(), from, sources);
            }
        }
    }

    /**
     * Saves a document that was checked before.
     *
     * @param expectedVersion the version that the change was made to; nothing for a new set
     */
    @Transactional
    public SavedSet save(String id, String name, JsonNode document, Optional<Integer> expectedVersion, String who) {
        int version = expectedVersion.orElse(0) + 1;
        SavedSet saved = new SavedSet(id, name, document.toString(), version, today.now(), who);
        if (expectedVersion.isEmpty()) {
            insert(saved);
        } else if (sets.update(saved) != 1) {
            throw conflict(id);
        }
        sets.insertVersion(saved);
        audit.record(who, Act.CRITERIA_SAVED, id + ", version " + version);
        return saved;
    }

    private void insert(SavedSet saved) {
        try {
            sets.insert(saved);
        } catch (DuplicateKeyException taken) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "name-taken",
                    "There is a criteria set of this name already. Yours is kept here, not saved: give it another"
                            + " name.");
        }
    }

    /** Removes a set that no other names. */
    @Transactional
    public void remove(String id, int version, String who) {
        List<String> namedBy = sets.all().stream()
                .filter(set -> !set.id().equals(id) && names(set, id))
                .map(SavedSet::name)
                .toList();
        if (!namedBy.isEmpty()) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "is-named",
                    "This set cannot be removed: " + String.join(", ", namedBy) + " depends on it.");
        }
        if (sets.delete(id, version) != 1) {
            throw conflict(id);
        }
        sets.deleteVersions(id);
        audit.record(who, Act.CRITERIA_REMOVED, id);
    }

    private static boolean names(SavedSet set, String id) {
        return MemberReferences.namedIn(set.json()).contains(id);
    }

    private ErrorResponseException conflict(String id) {
        SavedSet other = get(id);
        return Problems.refused(
                HttpStatus.PRECONDITION_FAILED,
                "changed-meanwhile",
                accounts.displayName(other.changedBy()) + " saved version " + other.version()
                        + " of this set meanwhile. Yours is kept here, not saved: look at theirs, or save yours under"
                        + " another name.");
    }
}
