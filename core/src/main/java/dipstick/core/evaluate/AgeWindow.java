package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.time.AgeSpan;
import dipstick.core.time.DateRange;
import java.util.stream.IntStream;

/** The days on which each person is of some age, by the code of their birth date (criteria.md section 2, atAge). */
final class AgeWindow {
    private final Codes births;
    /** The days that are inside whichever day the birth was. */
    private final int[] certainFirst;

    private final int[] certainLast;
    /** From the first to the last day that may be inside. The windows of neighbouring births leave no gap. */
    private final int[] possibleFirst;

    private final int[] possibleLast;

    AgeWindow(AgeSpan ages, Column.OfDate birthDates) {
        this.births = birthDates.codes();
        this.certainFirst = new int[birthDates.codeCount()];
        this.certainLast = new int[birthDates.codeCount()];
        this.possibleFirst = new int[birthDates.codeCount()];
        this.possibleLast = new int[birthDates.codeCount()];
        IntStream.range(1, birthDates.codeCount())
                .parallel()
                .forEach(code -> setDays(ages, birthDates.days().get(code), code));
    }

    private void setDays(AgeSpan ages, DateRange birth, int code) {
        DateRange earliest = ages.daysOf(birth.first());
        DateRange latest = birth.isExact() ? earliest : ages.daysOf(birth.last());
        certainFirst[code] = latest.first();
        certainLast[code] = earliest.last();
        possibleFirst[code] = earliest.first();
        possibleLast[code] = latest.last();
    }

    /** Whether a date of this person, {@code [first, last]}, lies in the window. */
    Outcome of(int person, int first, int last) {
        int birth = births.get(person);
        if (birth == Codes.MISSING) {
            return Outcome.UNSURE;
        }
        if (DateRange.relate(first, last, certainFirst[birth], certainLast[birth]) == Outcome.YES) {
            return Outcome.YES;
        }
        Outcome may = DateRange.relate(first, last, possibleFirst[birth], possibleLast[birth]);
        return may == Outcome.NO ? Outcome.NO : Outcome.UNSURE;
    }

    /** Whether an undated event of this person lies in the window: it never holds all days up to the as-of date. */
    Outcome ofUndated(int person, int asOf) {
        int birth = births.get(person);
        boolean mayHold = birth == Codes.MISSING || possibleFirst[birth] <= asOf;
        return mayHold ? Outcome.UNSURE : Outcome.NO;
    }
}
