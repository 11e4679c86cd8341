package dipstick.core.records;

import dipstick.core.time.DateRange;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * One event record as brought in. Texts are as written, trimmed, and empty where missing; {@code on} and
 * {@code until} are the days their dates stand for, not clipped.
 */
public record EventRecord(
        String id,
        String personId,
        String kind,
        String code,
        String system,
        String text,
        Optional<DateRange> on,
        Optional<DateRange> until,
        String status,
        OptionalDouble value,
        String unit,
        String valueText,
        List<String> keywords,
        String provider,
        String site,
        String source) {
    public EventRecord {
        keywords = List.copyOf(keywords);
    }
}
