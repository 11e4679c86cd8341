package dipstick.server.records;

import dipstick.server.practice.Today;
import java.time.Instant;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Changes of records that the view does not show yet. Each is known here before its transaction is committed, so that
 * whoever reads the stamp of the records can tell whether everything that led to it is known too.
 */
@Component
class Unshown {
    private final Set<Change> changes = ConcurrentHashMap.newKeySet();
    private final Today today;

    Unshown(Today today) {
        this.today = today;
    }

    /** What one transaction changes. */
    private static final class Change {
        private final Set<String> people = new HashSet<>();
        private final boolean broughtIn;
        private volatile Optional<Instant> committedAt = Optional.empty();

        Change(boolean broughtIn) {
            this.broughtIn = broughtIn;
        }
    }

    /**
     * Committed changes that are to be shown.
     *
     * @param whole whether there are no others, also none whose transaction is going on
     */
    record Waiting(List<Object> changes, Set<String> people, boolean broughtIn, boolean whole) {
        boolean isEmpty() {
            return changes.isEmpty();
        }
    }

    /**
     * Says that the transaction that is going on changes the records of these people. The stamp of the records changes
     * last, since whoever changes it has all others wait until the transaction is over.
     *
     * @param people by id, known or not; none where only the fields of people change
     * @param changeStamp is run before the commit, once for a transaction
     * @return whether this is the first that the transaction changes
     */
    boolean changing(Collection<String> people, boolean broughtIn, Runnable changeStamp) {
        Change change = (Change) TransactionSynchronizationManager.getResource(this);
        boolean first = change == null;
        if (first) {
            change = new Change(broughtIn);
            TransactionSynchronizationManager.bindResource(this, change);
            TransactionSynchronizationManager.registerSynchronization(new Ending(change, changeStamp));
            changes.add(change);
        }
        change.people.addAll(people);
        return first;
    }

    private final class Ending implements TransactionSynchronization {
        private final Change change;
        private final Runnable changeStamp;

        Ending(Change change, Runnable changeStamp) {
            this.change = change;
            this.changeStamp = changeStamp;
        }

        @Override
        public void beforeCommit(boolean readOnly) {
            changeStamp.run();
        }

        /** Where it is unknown how the transaction ended, the records are read again, which does no harm. */
        @Override
        public void afterCompletion(int status) {
            TransactionSynchronizationManager.unbindResourceIfPossible(Unshown.this);
            if (status == STATUS_ROLLED_BACK) {
                changes.remove(change);
            } else {
                change.committedAt = Optional.of(today.now());
            }
        }
    }

    /** What is committed by now; everything that led to a stamp that was read before. */
    Waiting committed() {
        List<Change> all = List.copyOf(changes);
        List<Change> committed =
                all.stream().filter(one -> one.committedAt.isPresent()).toList();
        Set<String> people = new HashSet<>();
        committed.forEach(one -> people.addAll(one.people));
        return new Waiting(
                List.copyOf(committed),
                people,
                committed.stream().anyMatch(one -> one.broughtIn),
                committed.size() == all.size());
    }

    void shown(Waiting waiting) {
        changes.removeAll(Set.copyOf(waiting.changes()));
    }

    /** Since when something is committed and not shown. */
    Optional<Instant> since() {
        return changes.stream().flatMap(one -> one.committedAt.stream()).min(Comparator.naturalOrder());
    }
}
