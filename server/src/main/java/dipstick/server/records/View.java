package dipstick.server.records;

import dipstick.core.population.Population;
import dipstick.core.population.Snapshot;
import java.time.Instant;

/**
 * The records as evaluations see them: immutable, and kept by each evaluation from its start to its end.
 *
 * @param version counts the views since the server started
 * @param stamp names the state of the records, also from one start to the next
 */
public record View(long version, String stamp, Snapshot.Content records, Instant builtAt) {
    public Population population() {
        return records.population();
    }

    /** How many records wait for their people. */
    public int eventsOfUnknownPeople() {
        return records.waiting().values().stream().mapToInt(Integer::intValue).sum();
    }
}
