package dipstick.server.records;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** An event record as a row of the table; what is missing is null, as SQL has it. */
record EventRow(
        String recordKey,
        String fingerprint,
        @Nullable String id,
        String personId,
        String kind,
        @Nullable String code,
        @Nullable String system,
        @Nullable String text,
        @Nullable LocalDate onFirst,
        @Nullable LocalDate onLast,
        @Nullable LocalDate untilFirst,
        @Nullable LocalDate untilLast,
        @Nullable String status,
        @Nullable Double eventValue,
        @Nullable String unit,
        @Nullable String valueText,
        @Nullable String keywords,
        @Nullable String provider,
        @Nullable String site,
        @Nullable String source) {}
