package dipstick.server.exchange;

import dipstick.core.population.Population;
import dipstick.server.outreach.Listed;
import dipstick.server.people.PersonLine;
import java.util.Arrays;
import java.util.Locale;
import java.util.function.BiFunction;

/** A column that a file can have, named as files that are brought in name it. */
enum Column {
    PERSON_ID("id", false, (one, _) -> one.person().id()),
    NAME(false, (one, _) -> one.person().name()),
    FAMILY_NAME(false, field("family_name")),
    GIVEN_NAME(false, field("given_name")),
    BORN(
            "birth_date",
            false,
            (one, records) -> PersonLine.birthDate(records, one.person().id())),
    AGE(false, (one, _) -> one.person().age()),
    PHONE(true, field("phone")),
    MOBILE(true, field("mobile")),
    EMAIL(true, field("email")),
    ADDRESS(true, field("address")),
    CITY(true, field("city")),
    POSTCODE(true, field("postcode")),
    LANGUAGE(false, field("language")),
    CONTACT_BY(false, field("contact_by")),
    PROVIDER(false, (one, _) -> one.person().provider()),
    SITE(false, (one, _) -> one.person().site()),
    /** On the list or to check, as everywhere. */
    STANDING("state", false, (one, _) -> one.standing()),
    /** How far colleagues are. */
    STATE("progress", false, (one, _) -> one.state()),
    DUE_ON(false, (one, _) -> one.due()),
    BAND(false, (one, _) -> one.band()),
    WHY(false, (one, _) -> one.why()),
    NEXT_STEP(false, (one, _) -> one.nextStep()),
    NEXT_ON(false, (one, _) -> one.nextOn()),
    IN_HAND(false, (one, _) -> one.inHand()),
    LAST_ATTEMPT(false, (one, _) -> one.lastAttempt()),
    LAST_ATTEMPT_ON(false, (one, _) -> one.lastAttemptOn()),
    JOINED_ON(false, (one, _) -> one.joinedOn()),
    ALSO_ON(false, (one, _) -> one.alsoOn()),
    HELD_BACK(false, (one, _) -> one.heldBack());

    private final String header;
    private final boolean contact;
    private final BiFunction<Listed, Population, String> value;

    Column(String header, boolean contact, BiFunction<Listed, Population, String> value) {
        this.header = header;
        this.contact = contact;
        this.value = value;
    }

    Column(boolean contact, BiFunction<Listed, Population, String> value) {
        this("", contact, value);
    }

    String header() {
        return header.isEmpty() ? name().toLowerCase(Locale.ROOT) : header;
    }

    /** Whether it says how to reach somebody, so that taking it out needs a reason. */
    boolean isContact() {
        return contact;
    }

    /** Whether a field of this name says how to reach somebody. */
    static boolean isContactField(String name) {
        return Arrays.stream(values())
                .anyMatch(column -> column.contact && column.header().equals(name));
    }

    /** Days as ISO 8601 writes them; numbers as they are. */
    String of(Listed one, Population records) {
        return value.apply(one, records);
    }

    private static BiFunction<Listed, Population, String> field(String name) {
        return (one, records) -> PersonLine.field(records, one.person().id(), name);
    }
}
