package dipstick.server.records;

import dipstick.core.records.Coding;
import dipstick.core.records.Field;
import dipstick.core.records.FieldType;
import dipstick.core.records.FieldValue;
import dipstick.core.records.Fields;
import dipstick.core.time.DateRange;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The columns of a table of records, which follow from the fields that are known by name: a date takes two, for its first
 * and its last day. Statements, rows and what is read of them follow from here; all other fields are in one column more.
 */
final class KnownColumns {
    static final String KEYWORD_SEPARATOR = "; ";

    /** All fields that have no column of their own, as {@link CustomValues} writes them. */
    static final String CUSTOM = "custom";

    /** A name that SQL has taken. */
    private static final Map<String, String> OTHERWISE_CALLED = Map.of("value", "event_value");

    static final KnownColumns PERSON = new KnownColumns(Fields.PERSON);
    static final KnownColumns EVENT = new KnownColumns(Fields.EVENT);

    /** A known field, and the columns that hold it. */
    private record Held(Field field, List<String> columns) {}

    /** In the order in which they are selected; put together once, since each row goes through them. */
    private final List<Held> held;

    private final List<String> names;

    private KnownColumns(Fields known) {
        this.held = known.all().stream()
                .map(field -> new Held(field, names(field).toList()))
                .toList();
        this.names = held.stream().flatMap(one -> one.columns().stream()).toList();
    }

    private static Stream<String> names(Field field) {
        if (field.type() == FieldType.DATE) {
            String stem = field.name().replaceFirst("_(on|date)$", "");
            return Stream.of(stem + "_first", stem + "_last");
        }
        return Stream.of(OTHERWISE_CALLED.getOrDefault(field.name(), field.name()));
    }

    /** All of a record, {@link #CUSTOM} last, in the order in which they are selected and read. */
    List<String> names() {
        return Stream.concat(names.stream(), Stream.of(CUSTOM)).toList();
    }

    String select() {
        return String.join(", ", names());
    }

    /** The cells of known fields by column; what is missing is null, as SQL has it. */
    Map<String, @Nullable Object> cells(Map<String, FieldValue> values) {
        Map<String, @Nullable Object> cells = new LinkedHashMap<>();
        for (Held one : held) {
            List<String> columns = one.columns();
            switch (values.get(one.field().name())) {
                case null -> columns.forEach(name -> cells.put(name, null));
                case FieldValue.OfDate(DateRange days) -> {
                    cells.put(columns.getFirst(), LocalDate.ofEpochDay(days.first()));
                    cells.put(columns.getLast(), LocalDate.ofEpochDay(days.last()));
                }
                case FieldValue.OfText(String text) -> cells.put(columns.getFirst(), text);
                case FieldValue.OfNumber(double number) -> cells.put(columns.getFirst(), number);
                case FieldValue.OfFlag(boolean flag) -> cells.put(columns.getFirst(), flag);
                case FieldValue.OfTexts(var texts) ->
                    cells.put(columns.getFirst(), String.join(KEYWORD_SEPARATOR, texts));
                case FieldValue.OfCodings(var codings) -> cells.put(columns.getFirst(), Coding.written(codings));
            }
        }
        return cells;
    }

    /** The known fields of a row that was selected. */
    Map<String, FieldValue> read(ResultSet row) throws SQLException {
        Map<String, FieldValue> values = new HashMap<>();
        int column = 1;
        for (Held one : held) {
            Field field = one.field();
            Optional<FieldValue> value = read(row, column, field);
            value.ifPresent(found -> values.put(field.name(), found));
            column += one.columns().size();
        }
        return values;
    }

    /** The others of a row that was selected, as a JSON object; nothing where it has none. */
    Optional<String> custom(ResultSet row) throws SQLException {
        return Optional.ofNullable(row.getString(names.size() + 1));
    }

    private static Optional<FieldValue> read(ResultSet row, int column, Field field) throws SQLException {
        return switch (field.type()) {
            case DATE -> RowReader.days(row, column).map(FieldValue.OfDate::new);
            case NUMBER -> {
                double number = row.getDouble(column);
                yield row.wasNull() ? Optional.empty() : Optional.of(new FieldValue.OfNumber(number));
            }
            case FLAG ->
                Optional.ofNullable(row.getObject(column, Boolean.class)).map(FieldValue.OfFlag::new);
            case IDENTIFIER, TEXT -> Optional.ofNullable(row.getString(column)).map(FieldValue.OfText::new);
            case TEXTS ->
                Optional.ofNullable(row.getString(column))
                        .map(texts -> new FieldValue.OfTexts(List.of(texts.split(KEYWORD_SEPARATOR, -1))));
            case CODINGS ->
                Optional.ofNullable(row.getString(column)).map(cell -> new FieldValue.OfCodings(Coding.parse(cell)));
        };
    }
}
