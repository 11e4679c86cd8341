package dipstick.intake.rows;

import java.util.List;

/**
 * A row that is not blank.
 *
 * @param line where it starts: the line of a text, the row of a sheet, counted from 1
 */
public record Row(long line, List<Cell> cells) {
    /** Blank where the row is shorter. */
    public Cell at(int column) {
        return column < cells.size() ? cells.get(column) : Cell.blank();
    }

    public boolean isBlank() {
        return cells.stream().allMatch(Cell::isBlank);
    }
}
