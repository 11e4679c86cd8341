package dipstick.server.records;

import dipstick.core.records.EventRecord;
import jakarta.annotation.PreDestroy;
import java.util.HashSet;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Writes records that are made here rather than brought in, such as attempts to reach somebody. */
@Service
public class OwnRecords {
    private final RecordsMapper records;
    private final ApplicationEventPublisher events;
    private final ExecutorService renewing = Executors.newSingleThreadExecutor();
    private final Set<String> waiting = new HashSet<>();

    OwnRecords(RecordsMapper records, ApplicationEventPublisher events) {
        this.records = records;
        this.events = events;
    }

    /**
     * Writes a record that has an id, over the one with that id where there is one. It belongs to the caller's
     * transaction; soon after that is committed, it counts.
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void write(EventRecord record) {
        EventRow row = RowMapping.row(record);
        if (records.updateEvent(row) == 0) {
            records.insertEvent(row);
        }
        records.changeStamp(UUID.randomUUID().toString());
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                renewSoon(record.personId());
            }
        });
    }

    /** Many that come quickly one after another are made to count together. */
    private void renewSoon(String person) {
        boolean first;
        synchronized (waiting) {
            first = waiting.isEmpty();
            waiting.add(person);
        }
        if (first) {
            renewing.execute(this::renew);
        }
    }

    private void renew() {
        Set<String> people;
        synchronized (waiting) {
            people = Set.copyOf(waiting);
            waiting.clear();
        }
        events.publishEvent(new RecordsChanged(people, false));
    }

    @PreDestroy
    void stop() {
        renewing.close();
    }
}
