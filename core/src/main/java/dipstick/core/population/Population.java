package dipstick.core.population;

import dipstick.core.records.Field;
import dipstick.core.records.Fields;
import dipstick.core.records.RecordFields;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Everybody on record with all events that count, as columns. People are numbered from 0 in the order in which they
 * came.
 */
public final class Population {
    private final RecordFields fields;
    private final int size;
    private final Map<String, Column> columns;
    private final Events events;
    private final Map<Codes, PeopleByValue> byValue = new ConcurrentHashMap<>();
    private final Map<Column.OfDate, PeopleByDay> byDay = new ConcurrentHashMap<>();

    Population(RecordFields fields, int size, Map<String, Column> columns, Events events) {
        this.fields = fields;
        this.size = size;
        this.columns = Map.copyOf(columns);
        this.events = events;
    }

    public int size() {
        return size;
    }

    public RecordFields fields() {
        return fields;
    }

    public Fields personFields() {
        return fields.people();
    }

    public Events events() {
        return events;
    }

    /**
     * Everybody, with some people read anew. Each of {@code renewed} stands in the place of the one with the same id,
     * or after everybody where there was none, and has only the events that come along. Spellings stay those that were
     * most frequent before.
     *
     * @param renewed people with the same fields, with all their events
     */
    public Population with(Population renewed) {
        if (!fields.equals(renewed.fields)) {
            throw new IllegalArgumentException(
                    "Read anew with other fields, " + renewed.fields + " instead of " + fields);
        }
        return new Renewal(this, renewed).population();
    }

    /** The column of one of the {@link #personFields()}. */
    public Column column(Field field) {
        Column column = columns.get(field.name());
        if (column == null) {
            throw new IllegalArgumentException("People have no field " + field.name());
        }
        return column;
    }

    public Column.OfText id() {
        return (Column.OfText) columns.get("id");
    }

    public Column.OfText status() {
        return (Column.OfText) columns.get("status");
    }

    public Column.OfDate birthDate() {
        return (Column.OfDate) columns.get("birth_date");
    }

    public Column.OfDate deceasedOn() {
        return (Column.OfDate) columns.get("deceased_on");
    }

    /**
     * Who has which value of a column of people; worked out when it is first asked for.
     *
     * @param codeCount one more than the highest code
     * @return nothing where there are many values
     */
    public Optional<PeopleByValue> byValue(Codes codes, int codeCount) {
        return codeCount > PeopleByValue.MOST_VALUES
                ? Optional.empty()
                : Optional.of(byValue.computeIfAbsent(codes, _ -> new PeopleByValue(codes, codeCount)));
    }

    /** People in the order of a date of theirs, likewise. */
    public PeopleByDay byDay(Column.OfDate dates) {
        return byDay.computeIfAbsent(dates, PeopleByDay::new);
    }

    public String idOf(int person) {
        return id().compared().get(id().codes().get(person));
    }

    /** The ids of people, in the order of their numbers. */
    public List<String> idsOf(BitSet people) {
        Codes codes = id().codes();
        List<String> texts = id().compared();
        String[] ids = new String[people.cardinality()];
        int next = 0;
        for (int person = people.nextSetBit(0); person >= 0; person = people.nextSetBit(person + 1)) {
            ids[next++] = texts.get(codes.get(person));
        }
        return List.of(ids);
    }

    /** The number of the person with this id. People's ids are their own, so code and number go together. */
    public OptionalInt find(String id) {
        Integer code = id().codeOf().get(id);
        return code == null ? OptionalInt.empty() : OptionalInt.of(code - 1);
    }
}
