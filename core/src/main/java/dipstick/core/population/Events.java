package dipstick.core.population;

import dipstick.core.records.Field;
import java.util.Map;

/**
 * All events that count, sorted by person and within a person as they came: a column for each field, and posting lists
 * for the fields that events are picked by.
 */
public final class Events {
    private final int[] starts;
    private final int[] owners;
    private final Map<String, Column> columns;
    private final Postings byKind;
    private final Postings byCode;
    private final Postings byText;
    private final Postings byKeywords;

    Events(int[] starts, int[] owners, Map<String, Column> columns) {
        this.starts = starts;
        this.owners = owners;
        this.columns = Map.copyOf(columns);
        this.byKind = Postings.of(kind());
        this.byCode = Postings.of(code());
        this.byText = Postings.of(text());
        this.byKeywords = Postings.of(keywords());
    }

    public int size() {
        return owners.length;
    }

    /** The first event of a person; that of the next person is the end. */
    public int start(int person) {
        return starts[person];
    }

    public int owner(int event) {
        return owners[event];
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

    public Postings byKind() {
        return byKind;
    }

    public Postings byCode() {
        return byCode;
    }

    public Postings byText() {
        return byText;
    }

    /** By the code of a set of keywords, not of one keyword. */
    public Postings byKeywords() {
        return byKeywords;
    }

    private Column.OfText text(String field) {
        return (Column.OfText) columns.get(field);
    }
}
