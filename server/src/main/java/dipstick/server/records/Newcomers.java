package dipstick.server.records;

import java.time.Instant;
import java.util.Set;
import org.springframework.stereotype.Service;

/** Who came on file lately. */
@Service
public class Newcomers {
    private final RecordsMapper records;

    Newcomers(RecordsMapper records) {
        this.records = records;
    }

    /** The ids of those who came on file after a moment, and are on it. */
    public Set<String> since(Instant moment) {
        return Set.copyOf(records.newcomers(moment));
    }
}
