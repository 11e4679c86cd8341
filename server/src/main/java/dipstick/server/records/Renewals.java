package dipstick.server.records;

import dipstick.core.evaluate.ReadAnew;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Who alone was read anew for each of the last views. */
final class Renewals {
    private static final int MOST = 64;

    /** Their records take room, so they are kept for the last few views only. */
    private static final int MOST_WITH_RECORDS = 4;

    private record Renewal(long version, Set<String> people, Optional<ReadAnew> records) {
        Renewal withoutRecords() {
            return new Renewal(version, people, Optional.empty());
        }
    }

    private final Deque<Renewal> withRecords = new ArrayDeque<>();
    private final Deque<Renewal> last = new ArrayDeque<>();

    /** @param people who were read for this version; all others are as they were in the one before */
    synchronized void add(long version, Set<String> people, Optional<ReadAnew> records) {
        Renewal renewal = new Renewal(version, Set.copyOf(people), records);
        keep(withRecords, renewal, MOST_WITH_RECORDS);
        keep(last, renewal.withoutRecords(), MOST);
    }

    private static void keep(Deque<Renewal> renewals, Renewal renewal, int most) {
        renewals.addLast(renewal);
        if (renewals.size() > most) {
            renewals.removeFirst();
        }
    }

    /** All who were read anew after one version, up to another; nothing where that is not known of each in between. */
    synchronized Optional<Set<String>> since(long after, long through) {
        return each(last, after, through).map(renewals -> {
            Set<String> people = new HashSet<>();
            renewals.forEach(renewal -> people.addAll(renewal.people()));
            return people;
        });
    }

    /** Their records, one view after the other, likewise. */
    synchronized Optional<List<ReadAnew>> records(long after, long through) {
        return each(withRecords, after, through)
                .map(renewals -> renewals.stream()
                        .flatMap(renewal -> renewal.records().stream())
                        .toList());
    }

    private static Optional<List<Renewal>> each(Deque<Renewal> renewals, long after, long through) {
        List<Renewal> between = new ArrayList<>();
        for (Renewal renewal : renewals) {
            if (renewal.version() > after && renewal.version() <= through) {
                between.add(renewal);
            }
        }
        return between.size() == through - after ? Optional.of(between) : Optional.empty();
    }
}
