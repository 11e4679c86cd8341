package dipstick.server.records;

import dipstick.core.records.Coding;
import dipstick.core.records.EventRecord;
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
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The columns of the table of events, which follow from {@link Fields#EVENT}: a date takes two, for its first and its
 * last day. Statements, rows and what is read of them follow from here.
 */
final class EventColumns {
    static final String KEYWORD_SEPARATOR = "; ";

    /** A name that SQL has taken. */
    private static final Map<String, String> OTHERWISE_CALLED = Map.of("value", "event_value");

    /** A known field, and the columns that hold it. */
    private record Held(Field field, List<String> columns) {}

    /** In the order in which they are selected; put together once, since each row goes through them. */
    private static final List<Held> HELD = Fields.EVENT.all().stream()
            .map(field -> new Held(field, names(field).toList()))
            .toList();

    /** The columns of known fields, in the order in which they are selected. */
    static final List<String> NAMES =
            HELD.stream().flatMap(held -> held.columns().stream()).toList();

    /** What no file says is the day of its delivery; what was kept before stays. */
    private static final List<String> KEPT_WHERE_MISSING = List.of("recorded_first", "recorded_last");

    private EventColumns() {}

    private static Stream<String> names(Field field) {
        if (field.type() == FieldType.DATE) {
            String stem = field.name().replaceFirst("_on$", "");
            return Stream.of(stem + "_first", stem + "_last");
        }
        return Stream.of(OTHERWISE_CALLED.getOrDefault(field.name(), field.name()));
    }

    static String select() {
        return String.join(", ", NAMES) + ", custom";
    }

    static String insert() {
        List<String> all = Stream.of(List.of("record_key", "fingerprint"), NAMES, List.of("custom"))
                .flatMap(List::stream)
                .toList();
        return "INSERT INTO event (" + String.join(", ", all) + ") VALUES ("
                + all.stream().map(name -> "#{" + name + "}").collect(Collectors.joining(", ")) + ")";
    }

    static String update() {
        Function<String, String> given = name -> KEPT_WHERE_MISSING.contains(name)
                ? name + " = COALESCE(#{" + name + "}, " + name + ")"
                : name + " = #{" + name + "}";
        return "UPDATE event SET "
                + Stream.of(List.of("fingerprint"), NAMES, List.of("custom"))
                        .flatMap(List::stream)
                        .map(given)
                        .collect(Collectors.joining(", "))
                + " WHERE record_key = #{record_key}";
    }

    /** The cells of a record by column; what is missing is null, as SQL has it. */
    static Map<String, @Nullable Object> cells(EventRecord event) {
        Map<String, @Nullable Object> cells = new LinkedHashMap<>();
        for (Held held : HELD) {
            List<String> names = held.columns();
            switch (event.values().get(held.field().name())) {
                case null -> names.forEach(name -> cells.put(name, null));
                case FieldValue.OfDate(DateRange days) -> {
                    cells.put(names.getFirst(), LocalDate.ofEpochDay(days.first()));
                    cells.put(names.getLast(), LocalDate.ofEpochDay(days.last()));
                }
                case FieldValue.OfText(String text) -> cells.put(names.getFirst(), text);
                case FieldValue.OfNumber(double number) -> cells.put(names.getFirst(), number);
                case FieldValue.OfFlag(boolean flag) -> cells.put(names.getFirst(), flag);
                case FieldValue.OfTexts(var texts) ->
                    cells.put(names.getFirst(), String.join(KEYWORD_SEPARATOR, texts));
                case FieldValue.OfCodings(var codings) -> cells.put(names.getFirst(), Coding.written(codings));
            }
        }
        return cells;
    }

    /** The known fields of a row that was selected. */
    static Map<String, FieldValue> read(ResultSet row) throws SQLException {
        Map<String, FieldValue> values = new HashMap<>();
        int column = 1;
        for (Held held : HELD) {
            Field field = held.field();
            Optional<FieldValue> value = read(row, column, field);
            value.ifPresent(found -> values.put(field.name(), found));
            column += held.columns().size();
        }
        return values;
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
