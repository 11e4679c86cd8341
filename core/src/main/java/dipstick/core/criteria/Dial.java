package dipstick.core.criteria;

import dipstick.core.time.CalendarPeriod;
import dipstick.core.time.DateRange;
import java.util.List;
import java.util.Optional;

/**
 * A value that may be turned when the set is run (criteria.md section 4).
 *
 * @param choices the allowed values, or none where any fits
 * @param choicesFrom the person field whose values are offered
 * @param value the value it stands at
 */
public record Dial(
        String name,
        String label,
        Type type,
        Optional<List<Value>> choices,
        Optional<String> choicesFrom,
        Value value) {
    public enum Type {
        PERIOD,
        NUMBER,
        DATE,
        TEXT,
        TEXTS
    }

    /** A value of a dial; equal values meet the same choice. */
    public sealed interface Value {
        record OfPeriod(CalendarPeriod period) implements Value {}

        record OfNumber(double number) implements Value {}

        /** @param written the date as it was written, which the slot it stands in may want whole */
        record OfDate(String written, DateRange days) implements Value {}

        /** @param text normalised */
        record OfText(String written, String text) implements Value {}

        record OfTexts(List<OfText> texts) implements Value {
            public OfTexts {
                texts = List.copyOf(texts);
            }
        }
    }

    Dial at(Value other) {
        return new Dial(name, label, type, choices, choicesFrom, other);
    }
}
