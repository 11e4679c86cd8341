package dipstick.server.records;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;

/** Who alone was read anew for each of the last views. */
final class Renewals {
    private static final int MOST = 64;

    private record Renewal(long version, Set<String> people) {}

    private final Deque<Renewal> last = new ArrayDeque<>();

    /** @param people who were read for this version; all others are as they were in the one before */
    synchronized void add(long version, Set<String> people) {
        last.addLast(new Renewal(version, Set.copyOf(people)));
        if (last.size() > MOST) {
            last.removeFirst();
        }
    }

    /** All who were read anew after one version, up to another; nothing where that is not known of each in between. */
    synchronized Optional<Set<String>> since(long after, long through) {
        Set<String> people = new HashSet<>();
        long known = 0;
        for (Renewal renewal : last) {
            if (renewal.version() > after && renewal.version() <= through) {
                people.addAll(renewal.people());
                known++;
            }
        }
        return known == through - after ? Optional.of(people) : Optional.empty();
    }
}
