package dipstick.core.wording;

import dipstick.core.population.Column;
import java.util.stream.Collectors;

/** The values of a column in words, as they are on record. */
public final class ValueWords {
    private ValueWords() {}

    /** @param code of a value that is not missing */
    public static String of(Column column, int code) {
        return switch (column) {
            case Column.OfCodings codings ->
                codings.sets().get(code).stream().map(FieldWords::coding).collect(Collectors.joining(", "));
            case Column.OfText texts -> texts.written().get(code);
            case Column.OfNumber numbers -> FieldWords.number(numbers.numbers().get(code));
            case Column.OfDate dates -> DayWords.date(dates.days().get(code));
            case Column.OfFlag _ -> code == Column.OfFlag.TRUE ? "yes" : "no";
            case Column.OfTexts texts ->
                String.join(
                        "; ",
                        texts.sets().get(code).stream().map(texts.words()::get).toList());
        };
    }
}
