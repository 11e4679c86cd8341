package dipstick.server.records;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** A person as a row of the table; what is missing is null, as SQL has it. */
record PersonRow(
        String id,
        @Nullable String familyName,
        @Nullable String givenName,
        @Nullable LocalDate birthFirst,
        @Nullable LocalDate birthLast,
        @Nullable String sex,
        @Nullable String status,
        @Nullable LocalDate deceasedFirst,
        @Nullable LocalDate deceasedLast,
        @Nullable String provider,
        @Nullable String site,
        @Nullable String phone,
        @Nullable String mobile,
        @Nullable String email,
        @Nullable String address,
        @Nullable String city,
        @Nullable String postcode,
        @Nullable String language,
        @Nullable String contactBy,
        @Nullable Boolean doNotContact,
        String custom) {}
