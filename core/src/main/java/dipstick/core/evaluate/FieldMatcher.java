package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.criteria.Condition;
import dipstick.core.criteria.FieldTest;
import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.time.DateRange;
import dipstick.core.time.Window;
import java.util.List;

/** A test of a field bound to a column: the outcome for a row of it. */
@FunctionalInterface
interface FieldMatcher {
    /** @param person the person whose row, or whose event, it is */
    Outcome of(int row, int person);

    /** A test of a person field. */
    static FieldMatcher ofPeople(FieldTest test, Seen seen) {
        Column column = seen.population().column(test.field());
        List<DateRange> dates = column instanceof Column.OfDate days ? days.days() : List.of();
        return bind(test.condition(), column, dates, seen);
    }

    /** A test of an event field; the date {@code on} is seen from the as-of date. */
    static FieldMatcher ofEvents(FieldTest test, Seen seen) {
        Column column = seen.population().events().column(test.field());
        List<DateRange> dates = switch (column) {
            case Column.OfDate _
            when test.field().name().equals("on") -> seen.dates().byCode();
            case Column.OfDate days -> days.days();
            default -> List.of();
        };
        FieldMatcher value = bind(test.condition(), column, dates, seen);
        if (test.unit().isEmpty()) {
            return value;
        }
        Column.OfText units = seen.population().events().unit();
        int unit = units.codeOf().getOrDefault(test.unit().get(), Codes.MISSING);
        return (row, person) ->
                unit != Codes.MISSING && units.codes().get(row) == unit ? value.of(row, person) : Outcome.UNSURE;
    }

    private static FieldMatcher bind(Condition condition, Column column, List<DateRange> dates, Seen seen) {
        Codes codes = column.codes();
        if (condition instanceof Condition.DateInWindow(Window.AtAge(var ages))) {
            AgeWindow window = new AgeWindow(ages, seen.population().birthDate());
            return (row, person) -> {
                int code = codes.get(row);
                DateRange date = dates.get(code);
                return code == Codes.MISSING ? Outcome.UNSURE : window.of(person, date.first(), date.last());
            };
        }
        Outcome[] outcomes = ValueOutcomes.of(condition, column, dates, seen.asOf());
        return (row, person) -> outcomes[codes.get(row)];
    }
}
