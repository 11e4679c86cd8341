package dipstick.core.population;

import dipstick.core.records.Field;
import dipstick.core.records.Fields;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * All events that count, as a column for each field. Their rows are sorted by {@linkplain Concepts concept}, and within a
 * concept as its {@link Runs} say.
 */
public final class Events {
    /** What all events of a concept have in common, and what is worked out otherwise. */
    private static final Set<String> NOT_OF_ROWS =
            Set.of("id", "person_id", "kind", "code", "system", "text", "keywords", "also_coded");

    private final Fields fields;
    private final int[] owners;
    private final Concepts concepts;
    private final int[] startOfPerson;
    private final int[] rowsByPerson;
    private final Map<String, Column> columns;
    private final Runs runs;
    private Optional<ConceptFacts> facts = Optional.empty();

    /**
     * @param fields those that events have, custom ones among them
     * @param owners the person of each row
     * @param startOfPerson the place of a person's first event in {@code rowsByPerson}; the next person's is the end
     * @param rowsByPerson the rows of the first person, in the order in which they came, then of the next
     */
    Events(
            Fields fields,
            int[] owners,
            Concepts concepts,
            int[] startOfPerson,
            int[] rowsByPerson,
            Map<String, Column> columns) {
        this.fields = fields;
        this.owners = owners;
        this.concepts = concepts;
        this.startOfPerson = startOfPerson;
        this.rowsByPerson = rowsByPerson;
        this.columns = Map.copyOf(columns);
        this.runs = Runs.of(concepts, owners, on());
    }

    /** The fields whose values are held row by row. */
    static List<Field> ofRows(Fields fields) {
        return fields.all().stream()
                .filter(field -> !NOT_OF_ROWS.contains(field.name()))
                .toList();
    }

    public Fields fields() {
        return fields;
    }

    public int size() {
        return owners.length;
    }

    int[] owners() {
        return owners;
    }

    int[] startOfPerson() {
        return startOfPerson;
    }

    int[] rowsByPerson() {
        return rowsByPerson;
    }

    /** The rows of a person's events, in the order in which they came. */
    public IntStream of(int person) {
        return IntStream.range(startOfPerson[person], startOfPerson[person + 1]).map(place -> rowsByPerson[place]);
    }

    /** How many events a person has. */
    public int countOf(int person) {
        return startOfPerson[person + 1] - startOfPerson[person];
    }

    public int owner(int event) {
        return owners[event];
    }

    public Concepts concepts() {
        return concepts;
    }

    public Runs runs() {
        return runs;
    }

    /** Worked out when they are first asked for. */
    public synchronized ConceptFacts facts() {
        ConceptFacts known = facts.orElseGet(() -> ConceptFacts.of(this));
        facts = Optional.of(known);
        return known;
    }

    /** The column of one of the {@link #fields()}. */
    public Column column(Field field) {
        Column column = columns.get(field.name());
        if (column == null) {
            throw new IllegalArgumentException("Events have no field " + field.name());
        }
        return column;
    }

    public Column.OfText kind() {
        return text("kind");
    }

    public Column.OfText code() {
        return text("code");
    }

    public Column.OfText system() {
        return text("system");
    }

    public Column.OfText text() {
        return text("text");
    }

    public Column.OfText status() {
        return text("status");
    }

    public Column.OfText unit() {
        return text("unit");
    }

    public Column.OfDate on() {
        return (Column.OfDate) columns.get("on");
    }

    public Column.OfDate until() {
        return (Column.OfDate) columns.get("until");
    }

    public Column.OfNumber value() {
        return (Column.OfNumber) columns.get("value");
    }

    public Column.OfTexts keywords() {
        return (Column.OfTexts) columns.get("keywords");
    }

    public Column.OfCodings alsoCoded() {
        return (Column.OfCodings) columns.get("also_coded");
    }

    /** The column {@code person_id}, worked out from whose each row is. */
    static Column.OfText personIds(int[] owners, Column.OfText ids) {
        return new Column.OfText(new Codes.OfOwners(owners), ids.compared(), ids.written(), ids.codeOf());
    }

    Identifiers ids() {
        return (Identifiers) text("id").compared();
    }

    private Column.OfText text(String field) {
        return (Column.OfText) columns.get(field);
    }
}
