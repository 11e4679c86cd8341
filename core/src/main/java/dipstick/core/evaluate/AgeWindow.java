package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.time.AgeSpan;
import dipstick.core.time.DateRange;

/** The days on which each person is of some age, by the code of their birth date (criteria.md section 2, atAge). */
final class AgeWindow {
    private final Codes births;
    /** The days that are inside whichever day the birth was. */
    private final DateRange[] certain;
    /** From the first to the last day that may be inside. The windows of neighbouring births leave no gap. */
    private final DateRange[] possible;

    AgeWindow(AgeSpan ages, Column.OfDate birthDates) {
        this.births = birthDates.codes();
        this.certain = new DateRange[birthDates.codeCount()];
        this.possible = new DateRange[birthDates.codeCount()];
        for (int code = 1; code < certain.length; code++) {
            DateRange birth = birthDates.days().get(code);
            DateRange earliest = ages.daysOf(birth.first());
            DateRange latest = ages.daysOf(birth.last());
            certain[code] = new DateRange(latest.first(), earliest.last());
            possible[code] = new DateRange(earliest.first(), latest.last());
        }
    }

    /** Whether a date of this person, {@code [first, last]}, lies in the window. */
    Outcome of(int person, int first, int last) {
        int birth = births.get(person);
        if (birth == Codes.MISSING) {
            return Outcome.UNSURE;
        }
        if (DateRange.relate(first, last, certain[birth].first(), certain[birth].last()) == Outcome.YES) {
            return Outcome.YES;
        }
        Outcome may = DateRange.relate(first, last, possible[birth].first(), possible[birth].last());
        return may == Outcome.NO ? Outcome.NO : Outcome.UNSURE;
    }

    /** Whether an undated event of this person lies in the window: it never holds all days up to the as-of date. */
    Outcome ofUndated(int person, int asOf) {
        int birth = births.get(person);
        boolean mayHold = birth == Codes.MISSING || possible[birth].first() <= asOf;
        return mayHold ? Outcome.UNSURE : Outcome.NO;
    }
}
