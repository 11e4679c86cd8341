package dipstick.server.records;

import dipstick.core.records.EventRecord;
import dipstick.server.practice.Today;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Writes records that are made here rather than brought in, such as attempts to reach somebody. */
@Service
public class OwnRecords {
    private final RecordsMapper records;
    private final Unshown unshown;
    private final Views views;
    private final Today today;

    OwnRecords(RecordsMapper records, Unshown unshown, Views views, Today today) {
        this.records = records;
        this.unshown = unshown;
        this.views = views;
        this.today = today;
    }

    /**
     * Writes a record that has an id, over the one with that id where there is one. It belongs to the caller's
     * transaction; soon after that is committed, it counts.
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void write(EventRecord record) {
        EventRow row = RowMapping.row(record);
        if (records.updateEvent(row.cells()) == 0) {
            records.insertEvent(row.cellsRecordedOn(today.day()));
        }
        boolean first = unshown.changing(
                Set.of(record.personId()),
                false,
                () -> records.changeStamp(UUID.randomUUID().toString()));
        if (first) {
            TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
                @Override
                public void afterCompletion(int status) {
                    views.showSoon();
                }
            });
        }
    }
}
