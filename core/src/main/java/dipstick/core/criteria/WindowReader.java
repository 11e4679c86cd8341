package dipstick.core.criteria;

import dipstick.core.time.AgeSpan;
import dipstick.core.time.AgeUnit;
import dipstick.core.time.CalendarPeriod;
import dipstick.core.time.DateRange;
import dipstick.core.time.Window;
import dipstick.core.time.Window.CalendarUnit;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;

/** Reads windows and spans of ages (criteria.md sections 2 and 3). */
final class WindowReader {
    private static final List<Spot.Choice<CalendarUnit>> CALENDAR_UNITS = List.of(
            new Spot.Choice<>("year", CalendarUnit.YEAR),
            new Spot.Choice<>("quarter", CalendarUnit.QUARTER),
            new Spot.Choice<>("month", CalendarUnit.MONTH),
            new Spot.Choice<>("week", CalendarUnit.WEEK));

    private static final List<Spot.Choice<AgeUnit>> AGE_UNITS = List.of(
            new Spot.Choice<>("years", AgeUnit.YEARS),
            new Spot.Choice<>("months", AgeUnit.MONTHS),
            new Spot.Choice<>("weeks", AgeUnit.WEEKS),
            new Spot.Choice<>("days", AgeUnit.DAYS));

    private static final Set<String> FORMS =
            Set.of("ever", "any", "last", "next", "ago", "sinceStartOf", "dates", "atAge");

    private final ValueReader values;

    WindowReader(ValueReader values) {
        this.values = values;
    }

    Window read(Spot spot) {
        if (!spot.isObject("a window, such as {\"last\": \"P12M\"}")) {
            return new Window.Ever();
        }
        spot.allowOnly(FORMS);
        List<String> forms = spot.keys().stream().filter(FORMS::contains).toList();
        if (forms.size() != 1) {
            if (forms.size() > 1 || spot.keys().isEmpty()) {
                spot.problem("A window has exactly one of: "
                        + String.join(", ", FORMS.stream().sorted().toList()) + ".");
            }
            return new Window.Ever();
        }
        Spot form = spot.get(forms.getFirst());
        return switch (forms.getFirst()) {
            case "ever" -> {
                form.onlyTrue();
                yield new Window.Ever();
            }
            case "any" -> {
                form.onlyTrue();
                yield new Window.AnyDay();
            }
            case "last" -> new Window.Last(values.period(form));
            case "next" -> new Window.Next(values.period(form));
            case "ago" -> ago(form);
            case "sinceStartOf" -> new Window.SinceStartOf(form.oneOf(CALENDAR_UNITS));
            case "dates" -> dates(form);
            default -> new Window.AtAge(ages(form, Set.of("from", "through", "unit")));
        };
    }

    /** The span of ages of an object that may hold these keys. */
    AgeSpan ages(Spot spot, Set<String> keys) {
        if (!spot.isObject("ages, such as {\"from\": 18, \"through\": 69}")) {
            return new AgeSpan(OptionalInt.empty(), OptionalInt.empty(), AgeUnit.YEARS);
        }
        spot.allowOnly(keys);
        OptionalInt from = age(spot, "from");
        OptionalInt through = age(spot, "through");
        AgeUnit unit = spot.has("unit") ? spot.get("unit").oneOf(AGE_UNITS) : AgeUnit.YEARS;
        if (from.isEmpty() && through.isEmpty()) {
            spot.problem("“from” or “through” is missing here.");
        }
        if (from.isPresent() && through.isPresent() && from.getAsInt() > through.getAsInt()) {
            spot.problem("The ages are turned round: from " + from.getAsInt() + " is above through "
                    + through.getAsInt() + ".");
        }
        return new AgeSpan(from, through, unit);
    }

    private OptionalInt age(Spot spot, String key) {
        return spot.has(key) ? OptionalInt.of(values.whole(spot.get(key))) : OptionalInt.empty();
    }

    private Window ago(Spot form) {
        List<Spot> ends = form.items();
        if (ends.size() != 2) {
            form.problem("“ago” takes two periods: from the longer to the shorter.");
            return new Window.Ever();
        }
        CalendarPeriod from = values.period(ends.get(0));
        CalendarPeriod to = values.period(ends.get(1));
        if (from.isAlwaysShorterThan(to)) {
            form.problem("The periods are turned round: " + from.written() + " ago is after " + to.written()
                    + " ago. The longer one stands first.");
        }
        return new Window.Ago(from, to);
    }

    private Window dates(Spot form) {
        List<Spot> ends = form.items();
        if (ends.size() != 2) {
            form.problem("“dates” takes two dates, either of which may be null.");
            return new Window.Ever();
        }
        Optional<DateRange> from = date(ends.get(0));
        Optional<DateRange> through = date(ends.get(1));
        return new Window.Dates(bounds(form, from, through));
    }

    /** From the first day of one date through the last day of another; says so where nothing lies between. */
    static DateRange bounds(Spot spot, Optional<DateRange> from, Optional<DateRange> through) {
        DateRange days = new DateRange(
                from.map(DateRange::first).orElse(DateRange.OPEN_FIRST),
                through.map(DateRange::last).orElse(DateRange.OPEN_LAST));
        if (days.isEmpty()) {
            spot.problem("The dates are turned round: the first is after the last.");
        }
        return days;
    }

    private Optional<DateRange> date(Spot end) {
        return end.json().isNull() ? Optional.empty() : Optional.of(values.date(end));
    }
}
