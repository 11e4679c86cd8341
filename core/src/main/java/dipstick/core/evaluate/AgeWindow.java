package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.time.AgeSpan;
import dipstick.core.time.DateRange;

/**
 * The days on which each person is of some age (criteria.md section 2, atAge). Most dates are far from the birthdays in
 * question, which their distance from the birth tells; only for the others the calendar is asked.
 */
final class AgeWindow {
    private final AgeSpan ages;
    private final Column.OfDate births;
    private final AgeSpan.Distance distance;

    AgeWindow(AgeSpan ages, Column.OfDate births) {
        this.ages = ages;
        this.births = births;
        this.distance = ages.distance();
    }

    /** Whether a date of this person, {@code [first, last]}, lies in the window. */
    Outcome of(int person, int first, int last) {
        int birth = births.codes().get(person);
        if (birth == Codes.MISSING) {
            return Outcome.UNSURE;
        }
        int from = births.days().first(birth);
        int through = births.days().last(birth);
        if (from == through && distance.isSurelyOutside((long) first - from, (long) last - from)) {
            return Outcome.NO;
        }
        if (from == through && distance.isSurelyInside((long) first - from, (long) last - from)) {
            return Outcome.YES;
        }
        return byCalendar(from, through, first, last);
    }

    /** What is inside whichever day the birth was, and what may be. The windows of neighbouring births leave no gap. */
    private Outcome byCalendar(int from, int through, int first, int last) {
        DateRange earliest = ages.daysOf(from);
        DateRange latest = from == through ? earliest : ages.daysOf(through);
        if (DateRange.relate(first, last, latest.first(), earliest.last()) == Outcome.YES) {
            return Outcome.YES;
        }
        Outcome may = DateRange.relate(first, last, earliest.first(), latest.last());
        return may == Outcome.NO ? Outcome.NO : Outcome.UNSURE;
    }

    /** Whether an undated event of this person lies in the window: it never holds all days up to the as-of date. */
    Outcome ofUndated(int person, int asOf) {
        int birth = births.codes().get(person);
        boolean mayHold = birth == Codes.MISSING
                || ages.daysOf(births.days().first(birth)).first() <= asOf;
        return mayHold ? Outcome.UNSURE : Outcome.NO;
    }
}
