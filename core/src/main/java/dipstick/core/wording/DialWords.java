package dipstick.core.wording;

import dipstick.core.criteria.Dial;
import java.util.stream.Collectors;

/** What a dial is set to, in words. */
public final class DialWords {
    private DialWords() {}

    public static String of(Dial.Value value) {
        return switch (value) {
            case Dial.Value.OfPeriod(var period) -> DayWords.period(period);
            case Dial.Value.OfNumber(var number) -> FieldWords.number(number);
            case Dial.Value.OfDate(var written, var days) -> days.isExact() ? DayWords.day(days.first()) : written;
            case Dial.Value.OfText(var written, var _) -> written;
            case Dial.Value.OfTexts(var texts) ->
                texts.isEmpty()
                        ? "nothing chosen"
                        : texts.stream().map(Dial.Value.OfText::written).collect(Collectors.joining(" or "));
        };
    }
}
