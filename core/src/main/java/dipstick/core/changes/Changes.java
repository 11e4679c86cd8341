package dipstick.core.changes;

import dipstick.core.Outcome;
import dipstick.core.changes.Change.Cause;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Reading;
import dipstick.core.explain.NearTheLine;
import dipstick.core.explain.Turn;
import dipstick.core.explain.Verdict;
import dipstick.core.wording.DayWords;
import dipstick.core.wording.SentencePrinter;
import java.time.LocalDate;
import java.util.Optional;
import java.util.function.Function;

/**
 * Says why people's places on a list are others than at a reading before. The records of then are gone; so the reading
 * of now is taken apart into steps: the criteria of then on the day of then over the records of now, the same on the day of
 * now, and the criteria of now. What the stored answer and the first step differ in, the records did; then time, then the
 * criteria. The last step that brought the answer of now is the cause that is told.
 */
public final class Changes {
    /** Further back the day on which time made the difference is not looked for. */
    private static final int MOST_DAYS = 400;

    private final LocalDate from;
    private final Reading after;
    private final Function<LocalDate, Evaluator> evaluators;
    /** The criteria of then, as of any day over the records of now. */
    private final NearTheLine days;

    /**
     * @param before the criteria of the reading before, and {@code from} the day that it was of
     * @param after the reading of now
     * @param evaluators of the records of now, as of any day
     */
    public Changes(CriteriaSet before, LocalDate from, Reading after, Function<LocalDate, Evaluator> evaluators) {
        this.from = from;
        this.after = after;
        this.evaluators = evaluators;
        this.days = new NearTheLine(before, after.asOf(), evaluators);
    }

    /**
     * @param person the number among the records of now
     * @param was whether they were on the list: yes, no, or can't tell for to check
     * @return nothing where their place is the same
     */
    public Optional<Change> of(int person, Outcome was) {
        Outcome is = after.list().of(person);
        if (is == was) {
            return Optional.empty();
        }
        Outcome byTime = days.reading(after.asOf()).list().of(person);
        if (byTime != is) {
            return Optional.of(new Change(Cause.CRITERIA, criteria(person, is)));
        }
        if (!after.people().get(person)) {
            return Optional.of(new Change(Cause.DIED, Verdict.of(evaluators.apply(after.asOf()), after, person)));
        }
        Outcome byRecords = days.reading(from).list().of(person);
        return Optional.of(byRecords == is ? records(person, is) : new Change(Cause.TIME, time(person, is)));
    }

    private String criteria(int person, Outcome is) {
        Reading told = is == Outcome.NO ? after : days.reading(after.asOf());
        String how = is == Outcome.NO ? " keeps them off now." : " keeps them off no more.";
        return Verdict.keptOffBy(evaluators.apply(after.asOf()), told, person)
                .map(criterion -> "The criteria changed: “"
                        + new SentencePrinter(after.asOf())
                                .print(criterion.test())
                                .text() + "”" + how)
                .orElse("The criteria changed.");
    }

    /** The last day on which the answer turned. */
    private String time(int person, Outcome is) {
        LocalDate day = after.asOf();
        for (int back = 0; back < MOST_DAYS && day.isAfter(from); back++, day = day.minusDays(1)) {
            Outcome dayBefore = days.reading(day.minusDays(1)).list().of(person);
            if (dayBefore != is) {
                return days.why(new Turn(person, day, dayBefore, is));
            }
        }
        return "Time went by from " + DayWords.day(from) + " to " + DayWords.day(after.asOf()) + ".";
    }

    private Change records(int person, Outcome is) {
        Evaluator evaluator = evaluators.apply(after.asOf());
        String words = Verdict.of(evaluator, after, person);
        if (is != Outcome.NO) {
            return new Change(Cause.RECORDS, "The records changed: " + words);
        }
        return Verdict.keptOffBy(evaluator, after, person)
                .map(criterion -> after.set().exclude().contains(criterion)
                        ? new Change(Cause.EXEMPT, "Exempt: " + words)
                        : after.set().include().contains(criterion)
                                ? new Change(Cause.RECORDS, "The records changed: " + words)
                                : new Change(Cause.DONE, "Now on record: " + words))
                .orElse(new Change(Cause.DONE, "Now on record: " + words));
    }
}
