package dipstick.core.typed;

import dipstick.core.population.Column;
import dipstick.core.population.Population;
import java.time.LocalDate;
import java.util.List;
import java.util.function.Function;

/**
 * What the records hold, as far as what is typed may name it without saying what it is.
 *
 * @param asOf the day from which “last year” is seen
 * @param dayFirst whether the day stands before the month where the practice writes a date in figures
 * @param values of a text field of people, by its name; none of one that has too many
 */
public record OnRecord(LocalDate asOf, boolean dayFirst, Function<String, List<String>> values) {
    /** A field with more values than these says who somebody is, and is not looked through. */
    private static final int MOST_VALUES = 2_000;

    public static OnRecord of(Population records, LocalDate asOf, boolean dayFirst) {
        return new OnRecord(
                asOf,
                dayFirst,
                field -> records.personFields()
                        .find(field)
                        .map(records::column)
                        .map(OnRecord::values)
                        .orElse(List.of()));
    }

    private static List<String> values(Column column) {
        return column instanceof Column.OfText texts && texts.codeCount() <= MOST_VALUES
                ? texts.written().stream().skip(1).toList()
                : List.of();
    }
}
