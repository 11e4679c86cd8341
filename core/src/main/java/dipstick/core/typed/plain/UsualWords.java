package dipstick.core.typed.plain;

import java.util.List;
import java.util.Map;
import java.util.Set;

/** What people say of fields and their values without it being a name on record. */
final class UsualWords {
    /** What people call a field of people, where no field has that name. */
    static final Map<String, List<String>> ALSO_CALLED = Map.ofEntries(
            Map.entry("sex", List.of("gender")),
            Map.entry("birth_date", List.of("date of birth", "dob", "birthday", "born")),
            Map.entry("phone", List.of("telephone", "phone number", "landline")),
            Map.entry("mobile", List.of("mobile number", "mobile phone", "cell phone")),
            Map.entry("email", List.of("e-mail", "email address", "e-mail address")),
            Map.entry("city", List.of("town")),
            Map.entry("postcode", List.of("post code", "zip", "zip code", "postal code")),
            Map.entry("family_name", List.of("surname", "last name")),
            Map.entry("given_name", List.of("first name", "forename")),
            Map.entry("provider", List.of("doctor", "gp", "clinician")),
            Map.entry("site", List.of("location", "branch", "clinic", "surgery")));

    /** What may stand between a field and its values. */
    static final Set<String> IS = Set.of("is", "are", "was", "=", ":", "not", "equals", "or", ",", "and", "of");

    static final Set<String> SPEAKS = Set.of("speaks", "speak", "speaking");

    /** Single words that people say of something else. */
    static final Set<String> SAID_OTHERWISE = Set.of(
            "phone",
            "mobile",
            "email",
            "letter",
            "post",
            "text",
            "other",
            "unknown",
            "seen",
            "booked",
            "who",
            "people",
            "patients",
            "new",
            "old",
            "and",
            "but",
            "without",
            "before",
            "during",
            "once",
            "twice",
            "age");

    private UsualWords() {}
}
