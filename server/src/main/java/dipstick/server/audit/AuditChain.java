package dipstick.server.audit;

import dipstick.server.audit.AuditMapper.Link;
import dipstick.server.practice.Today;
import jakarta.annotation.PreDestroy;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Shows whether an entry of the audit log was changed or removed: each holds a hash of itself and of the one before it
 * (SHA-256, FIPS 180-4). Entries come into the chain a moment after they are written, in the order in which they were
 * committed, so that nothing that is done waits for another.
 */
@Service
public class AuditChain {
    private static final int AT_ONCE = 500;

    private final AuditMapper entries;
    private final TransactionTemplate transaction;
    private final Today today;
    private final int keptDays;

    AuditChain(
            AuditMapper entries,
            TransactionTemplate transaction,
            Today today,
            @Value("${dipstick.audit.kept-days}") int keptDays) {
        this.entries = entries;
        this.transaction = transaction;
        this.today = today;
        this.keptDays = keptDays;
    }

    /** Takes all that is not in it yet into the chain. */
    @PreDestroy
    @Scheduled(fixedDelayString = "PT1S")
    public synchronized void extend() {
        int taken;
        do {
            taken = Objects.requireNonNull(transaction.execute(_ -> extendOnce()));
        } while (taken == AT_ONCE);
    }

    private int extendOnce() {
        List<Link> next = entries.unchained(AT_ONCE);
        if (!next.isEmpty()) {
            Optional<Link> last = entries.last();
            long place = last.map(Link::place).orElse(0L);
            String before = last.map(Link::hash).orElse("");
            for (Link link : next) {
                place++;
                before = ChainWalk.hash(before, place, link);
                entries.chain(link.id(), place, before);
            }
        }
        return next.size();
    }

    /** Forgets what has been kept for as long as it is to be; the chain begins later then. */
    @Scheduled(cron = "0 20 3 * * *")
    void forget() {
        if (keptDays > 0) {
            entries.last()
                    .map(Link::place)
                    .ifPresent(last -> entries.forget(
                            today.day()
                                    .minusDays(keptDays)
                                    .atStartOfDay(today.zone())
                                    .toInstant(),
                            last));
        }
    }

    /**
     * @param entries how many are in the chain
     * @param broken the id of the first entry that is not as it was written, or that follows one that is missing
     * @param head the last one's hash: kept elsewhere, it shows whether the end was cut off
     */
    public record Verified(long entries, Optional<Long> broken, String head) {}

    /** Walks the whole chain. */
    public Verified verify() {
        extend();
        ChainWalk walk = new ChainWalk();
        long after = 0;
        List<Link> next = entries.chained(after, AT_ONCE);
        while (!next.isEmpty() && next.stream().allMatch(walk::takes)) {
            after = next.getLast().place();
            next = entries.chained(after, AT_ONCE);
        }
        return walk.result();
    }
}
