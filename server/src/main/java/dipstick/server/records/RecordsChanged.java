package dipstick.server.records;

import java.util.Set;

/**
 * Records changed, are committed, and the view shows them.
 *
 * @param people the ids of the people whose own records or events are others now, known or not
 * @param broughtIn whether they came in a file, rather than being made here
 */
public record RecordsChanged(Set<String> people, boolean broughtIn) {
    public RecordsChanged {
        people = Set.copyOf(people);
    }
}
