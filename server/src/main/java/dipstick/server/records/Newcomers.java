package dipstick.server.records;

import dipstick.server.database.Chunks;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Who came on file lately. */
@Service
public class Newcomers {
    private final RecordsMapper records;

    Newcomers(RecordsMapper records) {
        this.records = records;
    }

    /** Those of some people who came on file after a moment. */
    public Set<String> among(List<String> people, Instant moment) {
        return Chunks.of(people)
                .flatMap(some -> records.newcomers(some.toArray(String[]::new), moment).stream())
                .collect(Collectors.toSet());
    }
}
