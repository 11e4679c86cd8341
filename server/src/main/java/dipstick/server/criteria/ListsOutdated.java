package dipstick.server.criteria;

import java.util.Set;

/** Sets were published, and it is committed: what their lists were read by is not what they say any more. */
public record ListsOutdated(Set<String> sets) {
    public ListsOutdated {
        sets = Set.copyOf(sets);
    }
}
