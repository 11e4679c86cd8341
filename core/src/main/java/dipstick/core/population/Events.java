package dipstick.core.population;

import dipstick.core.records.Field;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * All events that count, as a column for each field. Their rows are sorted by {@linkplain Concepts concept}, within a
 * concept by person, and then as they came.
 */
public final class Events {
    /** The columns that are neither held by concept nor worked out from the owners nor all different. */
    static final List<String> OF_ROWS =
            List.of("on", "until", "status", "value", "unit", "value_text", "provider", "site", "source");

    private final int[] owners;
    private final Concepts concepts;
    private final int[] startOfPerson;
    private final int[] rowsByPerson;
    private final Map<String, Column> columns;
    private Optional<ConceptFacts> facts = Optional.empty();

    /**
     * @param owners the person of each row
     * @param startOfPerson the place of a person's first event in {@code rowsByPerson}; the next person's is the end
     * @param rowsByPerson the rows of the first person, in the order in which they came, then of the next
     */
    Events(int[] owners, Concepts concepts, int[] startOfPerson, int[] rowsByPerson, Map<String, Column> columns) {
        this.owners = owners;
        this.concepts = concepts;
        this.startOfPerson = startOfPerson;
        this.rowsByPerson = rowsByPerson;
        this.columns = Map.copyOf(columns);
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

    public int owner(int event) {
        return owners[event];
    }

    public Concepts concepts() {
        return concepts;
    }

    /** Worked out when they are first asked for. */
    public synchronized ConceptFacts facts() {
        ConceptFacts known = facts.orElseGet(() -> ConceptFacts.of(this));
        facts = Optional.of(known);
        return known;
    }

    /** The first row of a concept whose person is {@code person} or comes after; the concept's end where none does. */
    public int firstRow(int concept, int person) {
        int low = concepts.start(concept);
        int high = concepts.end(concept);
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (owners[middle] < person) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low;
    }

    /** The column of a field of {@link dipstick.core.records.Fields#EVENT}. */
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
