package dipstick.server.outreach;

import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.together.ListsTouched;
import dipstick.server.web.Problems;
import java.util.Set;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** How each list is worked; what nobody said yet is the usual. */
@Service
class Manners {
    private static final JsonMapper JSON = JsonMapper.shared();

    private final EntryMapper entries;
    private final AuditLog audit;
    private final ApplicationEventPublisher events;

    Manners(EntryMapper entries, AuditLog audit, ApplicationEventPublisher events) {
        this.entries = entries;
        this.audit = audit;
        this.events = events;
    }

    Manner of(String set) {
        return entries.manner(set)
                .map(row -> JSON.readValue(row.manner(), Manner.class))
                .orElse(Manner.USUAL);
    }

    /** 0 where nobody said anything yet. */
    int revision(String set) {
        return entries.manner(set).map(EntryMapper.MannerRow::revision).orElse(0);
    }

    /**
     * Saves a manner that was made of the one at a revision. The first step of those who were not tried yet is planned
     * anew.
     */
    @Transactional
    void save(String set, Manner manner, int revision) {
        String written = JSON.writeValueAsString(manner);
        if (!(revision == 0 ? insert(set, written) : entries.updateManner(set, written, revision + 1) == 1)) {
            throw Problems.refused(
                    HttpStatus.PRECONDITION_FAILED,
                    "changed-meanwhile",
                    "Somebody changed how this list is worked meanwhile. Yours was not saved: look at theirs first.");
        }
        for (Entry entry : entries.ofSet(set)) {
            if (entry.state() == Entry.State.TO_CONTACT) {
                Entry planned = entry.with(
                        entry.state(), manner.plan().first(entry.joinedOn()), entry.stepsDone(), entry.changedOn());
                if (!planned.equals(entry)) {
                    entries.update(planned);
                }
            }
        }
        audit.record(Act.LIST_CHANGED, set + ", how it is worked");
        events.publishEvent(new ListsTouched(Set.of(set)));
    }

    private boolean insert(String set, String written) {
        try {
            return entries.insertManner(set, written) == 1;
        } catch (DuplicateKeyException another) {
            return false;
        }
    }
}
