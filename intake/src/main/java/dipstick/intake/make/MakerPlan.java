package dipstick.intake.make;

import dipstick.core.text.NormalText;
import dipstick.intake.describe.Maker;
import dipstick.intake.describe.Maker.OfEach;
import dipstick.intake.rows.Cell;
import dipstick.intake.rows.Row;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.regex.Pattern;

/** A maker bound to the columns of one file. */
final class MakerPlan {
    private final Maker maker;
    private final int[] places;
    private final Map<String, String> values = new HashMap<>();
    private final Set<String> empty;

    /** A record for each of several columns: the name of the one at hand, and what stands in its cell. */
    record One(String name, Cell cell) {
        static final One NONE = new One("", Cell.blank());
    }

    /** What came of a row: a cell, or a word that nothing is said of. */
    record Made(Cell cell, boolean known) {}

    /** @param empty words that say nothing, normalised */
    MakerPlan(Maker maker, Columns columns, Set<String> empty) {
        this.maker = maker;
        this.empty = empty;
        this.places = maker.allColumns()
                .map(columns::find)
                .filter(OptionalInt::isPresent)
                .mapToInt(OptionalInt::getAsInt)
                .toArray();
        maker.values().forEach((from, to) -> values.put(NormalText.of(from), to));
    }

    /** The columns it is made of, as the intake names them. */
    String columnNames() {
        return String.join(", ", maker.allColumns().toList());
    }

    Maker maker() {
        return maker;
    }

    Made make(Row row, One one) {
        Cell cell = source(row, one);
        if (maker.part().isPresent()) {
            cell = new Cell.Text(part(cell.text()));
        }
        if (isEmpty(cell)) {
            return new Made(Cell.blank(), true);
        }
        if (values.isEmpty()) {
            return new Made(cell, true);
        }
        String translated = values.get(NormalText.of(cell.text()));
        if (translated != null) {
            return new Made(new Cell.Text(translated), true);
        }
        return switch (maker.others()) {
            case KEEP -> new Made(cell, true);
            case BLANK -> new Made(Cell.blank(), true);
            case LEAVE_OUT -> new Made(cell, false);
        };
    }

    boolean isEmpty(Cell cell) {
        return cell.isBlank()
                || (cell instanceof Cell.Text && !empty.isEmpty() && empty.contains(NormalText.of(cell.text())));
    }

    private Cell source(Row row, One one) {
        if (maker.constant().isPresent()) {
            return new Cell.Text(maker.constant().get());
        }
        if (maker.each().isPresent()) {
            return maker.each().get() == OfEach.NAME ? new Cell.Text(one.name()) : one.cell();
        }
        if (places.length == 1 && maker.columns().isEmpty()) {
            return row.at(places[0]);
        }
        List<String> parts = new ArrayList<>();
        for (int place : places) {
            if (!isEmpty(row.at(place))) {
                parts.add(row.at(place).text());
            }
        }
        return new Cell.Text(String.join(maker.joined().orElse(" "), parts));
    }

    private String part(String text) {
        Maker.Part part = maker.part().orElseThrow();
        String[] parts = text.split(Pattern.quote(part.split()), -1);
        return part.take() >= 1 && part.take() <= parts.length ? NormalText.identifier(parts[part.take() - 1]) : "";
    }
}
