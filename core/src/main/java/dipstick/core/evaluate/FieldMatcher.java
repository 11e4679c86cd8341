package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.criteria.Condition;
import dipstick.core.criteria.FieldTest;
import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.population.Events;
import dipstick.core.time.DateRange;
import dipstick.core.time.Window;
import java.util.List;

/** A test of a field bound to a column: the outcome for a row of it. */
interface FieldMatcher {
    Outcome of(int row);

    /** The ranks of consecutive rows, from {@code first} on. */
    default void rank(byte[] ranks, int first, int count) {
        for (int i = 0; i < count; i++) {
            ranks[i] = of(first + i).rank();
        }
    }

    /**
     * Lowers the ranks of consecutive rows, from {@code first} on, to what this answers for them: Kleene's and, for a
     * stretch of rows at once.
     */
    default void lower(byte[] ranks, int first, int count) {
        for (int i = 0; i < count; i++) {
            if (ranks[i] > 0) {
                ranks[i] = (byte) Math.min(ranks[i], of(first + i).rank());
            }
        }
    }

    /** Looks the outcome up by the code of the row. */
    record ByCode(Codes codes, byte[] ranks) implements FieldMatcher {
        @Override
        public Outcome of(int row) {
            return Outcome.ofRank(ranks[codes.get(row)]);
        }

        @Override
        public void rank(byte[] ranks, int first, int count) {
            codes.look(ranks, this.ranks, first, count);
        }

        @Override
        public void lower(byte[] ranks, int first, int count) {
            codes.lower(ranks, this.ranks, first, count);
        }
    }

    /** A test of a person field; its rows are people. */
    static FieldMatcher ofPeople(FieldTest test, Seen seen) {
        Column column = seen.population().column(test.field());
        List<DateRange> dates = column instanceof Column.OfDate days ? days.days() : List.of();
        if (test.condition() instanceof Condition.DateInWindow(Window.AtAge(var ages))) {
            AgeWindow window = new AgeWindow(ages, seen.population().birthDate());
            return row -> inAgeWindow(window, dates, column.codes().get(row), row);
        }
        return new ByCode(column.codes(), ValueOutcomes.of(test.condition(), column, dates, seen.asOf()));
    }

    /** A test of an event field, whose rows are events; the date {@code on} is seen from the as-of date. */
    static FieldMatcher ofEvents(FieldTest test, Seen seen) {
        Events events = seen.population().events();
        Column column = events.column(test.field());
        List<DateRange> dates = switch (column) {
            case Column.OfDate _
            when test.field().name().equals("on") -> seen.dates().byCode();
            case Column.OfDate days -> days.days();
            default -> List.of();
        };
        if (test.condition() instanceof Condition.DateInWindow(Window.AtAge(var ages))) {
            AgeWindow window = new AgeWindow(ages, seen.population().birthDate());
            return row -> inAgeWindow(window, dates, column.codes().get(row), events.owner(row));
        }
        ByCode value = new ByCode(column.codes(), ValueOutcomes.of(test.condition(), column, dates, seen.asOf()));
        if (test.unit().isEmpty()) {
            return value;
        }
        Codes units = events.unit().codes();
        int unit = events.unit().codeOf().getOrDefault(test.unit().get().compared(), Codes.MISSING);
        return row -> unit != Codes.MISSING && units.get(row) == unit ? value.of(row) : Outcome.UNSURE;
    }

    private static Outcome inAgeWindow(AgeWindow window, List<DateRange> dates, int code, int person) {
        DateRange date = dates.get(code);
        return code == Codes.MISSING ? Outcome.UNSURE : window.of(person, date.first(), date.last());
    }
}
