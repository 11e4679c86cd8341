package dipstick.intake.rows;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * The columns of files whose format says what is what, such as FHIR. Each row is a person or a record; an intake makes
 * fields of them as it does of the columns of any table.
 */
public enum OwnColumn {
    /** The resource, message or component that the row is read of. */
    FROM("from"),
    /** Why nothing is made of what was read, or blank. */
    PASSED_OVER("passed over"),
    /** Why it could not be read, or blank. */
    UNREADABLE("unreadable"),
    /** The number of the person of whom the row is. */
    NUMBER("number"),
    /** Further numbers of the same person, parted by semicolons. */
    OTHER_NUMBERS("other numbers"),
    /** Numbers of people who turned out to be this one, parted by semicolons. */
    MERGED_NUMBERS("merged numbers"),
    /** Says yes where the row is of a person, and is blank where it is of a record. */
    PERSON("person"),
    FAMILY_NAME("family name", "family_name", ""),
    GIVEN_NAME("given name", "given_name", ""),
    BIRTH_DATE("birth date", "birth_date", ""),
    SEX("sex", "sex", ""),
    PERSON_STATUS("person status", "status", ""),
    DECEASED_ON("deceased on", "deceased_on", ""),
    OWN_PROVIDER("own provider", "provider", ""),
    OWN_SITE("own site", "site", ""),
    PHONE("phone", "phone", ""),
    MOBILE("mobile", "mobile", ""),
    EMAIL("email", "email", ""),
    ADDRESS("address", "address", ""),
    CITY("city", "city", ""),
    POSTCODE("postcode", "postcode", ""),
    LANGUAGE("language", "language", ""),
    /** What tells the record from every other of its source. */
    RECORD_ID("record id"),
    KIND("kind", "", "kind"),
    CODE("code", "", "code"),
    SYSTEM("system", "", "system"),
    TEXT("text", "", "text"),
    ON("on", "", "on"),
    UNTIL("until", "", "until"),
    STATUS("status", "", "status"),
    VALUE("value", "", "value"),
    UNIT("unit", "", "unit"),
    VALUE_TEXT("value text", "", "value_text"),
    KEYWORDS("keywords", "", "keywords"),
    PROVIDER("provider", "", "provider"),
    SITE("site", "", "site"),
    RECORDED_ON("recorded on", "", "recorded_on"),
    ALSO_CODED("also coded", "", "also_coded");

    private static final List<String> NAMES =
            Arrays.stream(values()).map(OwnColumn::columnName).toList();

    private final String columnName;
    private final String personField;
    private final String eventField;

    OwnColumn(String columnName) {
        this(columnName, "", "");
    }

    OwnColumn(String columnName, String personField, String eventField) {
        this.columnName = columnName;
        this.personField = personField;
        this.eventField = eventField;
    }

    public String columnName() {
        return columnName;
    }

    /** The person field that is made of it, if one is. */
    public Optional<String> personField() {
        return Optional.of(personField).filter(field -> !field.isEmpty());
    }

    /** The event field that is made of it, if one is. */
    public Optional<String> eventField() {
        return Optional.of(eventField).filter(field -> !field.isEmpty());
    }

    /** The names of all, in the order of the cells. */
    public static List<String> names() {
        return NAMES;
    }
}
