package dipstick.server.records;

import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Of whom something is kept though they are not on file. */
@Service
public class OffFile {
    private final RecordsMapper records;

    OffFile(RecordsMapper records) {
        this.records = records;
    }

    /** Notices who went, or came back, since it was last asked to. */
    @Transactional
    public void notice(LocalDate today) {
        records.forgetWhoCameBack();
        records.noticeWhoIsOffFile(today);
    }

    /** Those who have been so since this day or longer, by id. */
    public List<String> since(LocalDate day) {
        return records.offFileSince(day);
    }
}
