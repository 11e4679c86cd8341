package dipstick.server.outreach.entries;

import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.outreach.plan.Manner;
import dipstick.server.together.ListsTouched;
import dipstick.server.web.Revision;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** How each list is worked; what nobody said yet is the usual. */
@Service
public class Manners {
    private static final JsonMapper JSON = JsonMapper.shared();

    private final EntryMapper entries;
    private final AuditLog audit;
    private final ApplicationEventPublisher events;

    Manners(EntryMapper entries, AuditLog audit, ApplicationEventPublisher events) {
        this.entries = entries;
        this.audit = audit;
        this.events = events;
    }

    public Manner of(String set) {
        return entries.manner(set)
                .map(row -> JSON.readValue(row.manner(), Manner.class))
                .orElse(Manner.USUAL);
    }

    /** By the id of the list, without those that have none. */
    public Map<String, Integer> targets() {
        Map<String, Integer> targets = new HashMap<>();
        entries.manners()
                .forEach(row -> JSON.readValue(row.manner(), Manner.class)
                        .target()
                        .ifPresent(target -> targets.put(row.setId(), target)));
        return targets;
    }

    /** 0 where nobody said anything yet. */
    public int revision(String set) {
        return entries.manner(set).map(EntryMapper.MannerRow::revision).orElse(0);
    }

    /**
     * Saves a manner that was made of the one at a revision. The first step of those who were not tried yet is planned
     * anew.
     */
    @Transactional
    public void save(String set, Manner manner, int revision) {
        String written = JSON.writeValueAsString(manner);
        Revision.save(
                revision == 0,
                () -> entries.insertManner(set, written),
                () -> entries.updateManner(set, written, revision + 1),
                "how this list is worked");
        entries.lockSet(set);
        for (Entry entry : entries.ofSet(set)) {
            if (entry.state() == Entry.State.TO_CONTACT) {
                Entry planned = entry.with(
                        entry.state(),
                        manner.plan().first(entry.standing(), entry.joinedOn()),
                        entry.stepsDone(),
                        entry.changedOn());
                if (!planned.equals(entry)) {
                    entries.update(planned);
                }
            }
        }
        audit.record(Act.LIST_CHANGED, set + ", how it is worked");
        events.publishEvent(ListsTouched.whole(Set.of(set)));
    }
}
