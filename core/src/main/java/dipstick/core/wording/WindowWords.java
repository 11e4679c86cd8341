package dipstick.core.wording;

import dipstick.core.time.AgeSpan;
import dipstick.core.time.AgeUnit;
import dipstick.core.time.Window;
import java.time.LocalDate;

/** Windows and ages in words, with the days they come to. */
final class WindowWords {
    private WindowWords() {}

    /** The window, and its days in brackets where the words do not name them. */
    static String of(Window window, LocalDate asOf) {
        return switch (window) {
            case Window.Ever _ -> "at any time up to " + DayWords.day(asOf);
            case Window.AnyDay _ -> "at any time, past or ahead";
            case Window.Last(var period) -> "in the last " + DayWords.period(period) + days(window, asOf);
            case Window.Next(var period) -> "in the next " + DayWords.period(period) + days(window, asOf);
            case Window.Ago(var from, var to) ->
                "between " + DayWords.period(from) + " and " + DayWords.period(to) + " ago" + days(window, asOf);
            case Window.SinceStartOf(var unit) -> "since the start of the " + unit.word() + days(window, asOf);
            case Window.Dates(var days) -> DayWords.inSentence(days);
            case Window.AtAge(var ages) -> "at age " + ages(ages);
        };
    }

    static String ages(AgeSpan ages) {
        String unit = ages.unit() == AgeUnit.YEARS ? "" : " " + ages.unit().word();
        if (ages.from().isPresent() && ages.through().isPresent()) {
            return ages.from().getAsInt() + " to " + ages.through().getAsInt() + unit;
        }
        return ages.from().isPresent()
                ? ages.from().getAsInt() + unit + " or over"
                : ages.through().orElse(0) + unit + " or under";
    }

    private static String days(Window window, LocalDate asOf) {
        return " (" + DayWords.range(window.daysAsOf(asOf)) + ")";
    }
}
