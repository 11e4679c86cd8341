package dipstick.core.records;

import static dipstick.core.records.FieldType.CODINGS;
import static dipstick.core.records.FieldType.DATE;
import static dipstick.core.records.FieldType.FLAG;
import static dipstick.core.records.FieldType.IDENTIFIER;
import static dipstick.core.records.FieldType.NUMBER;
import static dipstick.core.records.FieldType.TEXT;
import static dipstick.core.records.FieldType.TEXTS;

import dipstick.core.text.NormalText;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The fields that people or events have, in the order in which they are shown (criteria.md section 1). */
public final class Fields {
    /** The person fields that Dipstick knows by name. */
    public static final Fields PERSON = new Fields(List.of(
            new Field("id", IDENTIFIER),
            new Field("family_name", TEXT),
            new Field("given_name", TEXT),
            new Field("birth_date", DATE),
            new Field("sex", TEXT),
            new Field("status", TEXT),
            new Field("deceased_on", DATE),
            new Field("provider", TEXT),
            new Field("site", TEXT),
            new Field("phone", TEXT),
            new Field("mobile", TEXT),
            new Field("email", TEXT),
            new Field("address", TEXT),
            new Field("city", TEXT),
            new Field("postcode", TEXT),
            new Field("language", TEXT),
            new Field("contact_by", TEXT),
            new Field("do_not_contact", FLAG)));

    /**
     * The event fields that Dipstick knows by name. Files, tables, columns in memory, criteria and words all follow
     * from this list.
     */
    public static final Fields EVENT = new Fields(List.of(
            new Field("id", IDENTIFIER),
            new Field("person_id", IDENTIFIER),
            new Field("kind", TEXT),
            new Field("code", TEXT),
            new Field("system", TEXT),
            new Field("text", TEXT),
            new Field("on", DATE),
            new Field("until", DATE),
            new Field("status", TEXT),
            new Field("value", NUMBER),
            new Field("unit", TEXT),
            new Field("value_text", TEXT),
            new Field("keywords", TEXTS),
            new Field("provider", TEXT),
            new Field("site", TEXT),
            new Field("source", TEXT),
            new Field("recorded_on", DATE),
            new Field("also_coded", CODINGS)));

    private final Map<String, Field> byName = new LinkedHashMap<>();

    private Fields(Collection<Field> fields) {
        fields.forEach(field -> byName.put(field.name(), field));
    }

    /** These fields and the custom ones of a practice; a name that is known already keeps its type. */
    public Fields with(Collection<Field> custom) {
        Fields all = new Fields(byName.values());
        custom.forEach(field -> all.byName.putIfAbsent(field.name(), field));
        return all;
    }

    /** Whether these are the same fields in the same order. */
    @Override
    public boolean equals(Object other) {
        return other instanceof Fields fields && all().equals(fields.all());
    }

    @Override
    public int hashCode() {
        return byName.hashCode();
    }

    /**
     * The field that a header means among these: a known one in any case, or a custom one with the type that it says.
     * Nothing where it has no name, or gives a type to one that has its own.
     */
    public Optional<Field> written(String header) {
        Optional<Field> known = find(NormalText.of(header));
        if (known.isPresent()) {
            return known;
        }
        return customField(header)
                .filter(field -> find(NormalText.of(field.name())).isEmpty());
    }

    /**
     * A field of a header as it is among these: one that says no type has the type that it has here. Nothing where it says
     * another.
     */
    public Optional<Field> asHere(Field written) {
        Field here = find(written.name()).orElse(written);
        return Optional.of(here).filter(_ -> written.type().isText() || written.equals(here));
    }

    /** A custom field as a header writes it; nothing for a column without a name, or with a type alone. */
    static Optional<Field> customField(String header) {
        int colon = header.lastIndexOf(':');
        String type = colon < 0 ? "" : NormalText.of(header.substring(colon + 1));
        Optional<FieldType> said = switch (type) {
            case "number" -> Optional.of(NUMBER);
            case "date" -> Optional.of(DATE);
            case "flag" -> Optional.of(FLAG);
            default -> Optional.empty();
        };
        String name = said.isPresent() ? NormalText.identifier(header.substring(0, colon)) : header;
        return name.isEmpty() ? Optional.empty() : Optional.of(new Field(name, said.orElse(TEXT)));
    }

    public Optional<Field> find(String name) {
        return Optional.ofNullable(byName.get(name));
    }

    public List<Field> all() {
        return List.copyOf(byName.values());
    }

    /** Those that a test may be about; term sets look at the others. */
    public List<Field> tested() {
        return byName.values().stream().filter(field -> field.type() != CODINGS).toList();
    }

    /** Those of {@link #all()} that are not among the known ones. */
    public List<Field> customBeside(Fields known) {
        return byName.values().stream()
                .filter(field -> known.find(field.name()).isEmpty())
                .toList();
    }

    public List<String> names() {
        return List.copyOf(byName.keySet());
    }
}
