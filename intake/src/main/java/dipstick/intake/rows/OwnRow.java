package dipstick.intake.rows;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** Puts a row of {@link OwnColumn}s together. */
public final class OwnRow {
    private static final Cell BLANK = Cell.blank();

    private final Map<OwnColumn, String> cells = new EnumMap<>(OwnColumn.class);

    private OwnRow(String from) {
        cells.put(OwnColumn.FROM, from);
    }

    /** @param from the resource, message or component that it is read of */
    public static OwnRow of(String from) {
        return new OwnRow(from);
    }

    /** What is blank says nothing. */
    public OwnRow put(OwnColumn column, String text) {
        if (!text.isBlank()) {
            cells.put(column, text);
        }
        return this;
    }

    public OwnRow put(OwnColumn column, List<String> texts) {
        return put(column, String.join(";", texts));
    }

    public OwnRow passedOver(String reason) {
        return put(OwnColumn.PASSED_OVER, reason);
    }

    public String get(OwnColumn column) {
        return cells.getOrDefault(column, "");
    }

    public Row at(long line) {
        return new Row(
                line,
                Arrays.stream(OwnColumn.values())
                        .map(column -> cells.containsKey(column) ? new Cell.Text(cells.get(column)) : BLANK)
                        .toList());
    }

    public static Row header() {
        return new Row(0, OwnColumn.names().stream().<Cell>map(Cell.Text::new).toList());
    }
}
