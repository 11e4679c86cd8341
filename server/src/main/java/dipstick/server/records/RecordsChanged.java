package dipstick.server.records;

import java.util.Set;

/**
 * Records were brought in and are committed.
 *
 * @param people the ids of the people whose own records or events are others now, known or not
 */
public record RecordsChanged(Set<String> people) {
    public RecordsChanged {
        people = Set.copyOf(people);
    }
}
