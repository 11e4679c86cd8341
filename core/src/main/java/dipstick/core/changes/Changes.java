package dipstick.core.changes;

import dipstick.core.Outcome;
import dipstick.core.changes.Change.Cause;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.Criterion;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Reading;
import dipstick.core.explain.Explainer;
import dipstick.core.explain.NearTheLine;
import dipstick.core.explain.Reason;
import dipstick.core.explain.Turn;
import dipstick.core.explain.Verdict;
import dipstick.core.population.Codes;
import dipstick.core.population.Events;
import dipstick.core.wording.DayWords;
import dipstick.core.wording.SentencePrinter;
import java.time.LocalDate;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * Says why people's places on a list are others than at a reading before. The records of then are gone; so the reading
 * of now is taken apart into steps: the criteria of then on the day of then over the records of now, the same on the day of
 * now, and the criteria of now. What the stored answer and the first step differ in, the records did; then time, then the
 * criteria. The last step that brought the answer of now is the cause that is told. A record of a day after the reading
 * before is told as a record that came, not as time that went by.
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
        return Optional.of(byRecords == is ? records(person, is) : sinceThen(person, is));
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

    /**
     * What counts only from a day after the reading before: because time went by, or because a record of those days came,
     * which that reading could not know.
     */
    private Change sinceThen(int person, Outcome is) {
        Optional<Turn> turn = lastTurn(person, is);
        Evaluator now = evaluators.apply(after.asOf());
        if (is == Outcome.NO) {
            Optional<Criterion> keptOffBy = Verdict.keptOffBy(now, after, person);
            boolean came = keptOffBy.isPresent()
                    ? isNew(now, person, keptOffBy.get())
                    : asked().anyMatch(criterion -> isNew(now, person, criterion));
            if (came) {
                return records(person, is);
            }
        } else if (turn.isPresent()) {
            LocalDate before = turn.get().day().minusDays(1);
            Optional<Criterion> keptOffBy = Verdict.keptOffBy(evaluators.apply(before), days.reading(before), person)
                    .filter(criterion -> isNew(now, person, criterion));
            if (keptOffBy.isPresent()) {
                Reason reason =
                        new Explainer(now, person).explain(keptOffBy.get().test());
                return new Change(Cause.RECORDS, "New on record: " + reason.words());
            }
        }
        return new Change(
                Cause.TIME,
                turn.map(days::why)
                        .orElseGet(() ->
                                "Time went by from " + DayWords.day(from) + " to " + DayWords.day(after.asOf()) + "."));
    }

    /** The last day on which the answer turned to what it is. */
    private Optional<Turn> lastTurn(int person, Outcome is) {
        LocalDate day = after.asOf();
        for (int back = 0; back < MOST_DAYS && day.isAfter(from); back++, day = day.minusDays(1)) {
            Outcome dayBefore = days.reading(day.minusDays(1)).list().of(person);
            if (dayBefore != is) {
                return Optional.of(new Turn(person, day, dayBefore, is));
            }
        }
        return Optional.empty();
    }

    private Stream<Criterion> asked() {
        return after.set().shouldHaveInForce().stream()
                .flatMap(should -> should.of().stream())
                .filter(criterion -> !criterion.off());
    }

    private boolean isAsked(Criterion criterion) {
        return !after.set().include().contains(criterion)
                && !after.set().exclude().contains(criterion);
    }

    /** Whether a criterion answers as it does by a record of a day after the reading before. */
    private boolean isNew(Evaluator now, int person, Criterion criterion) {
        Events events = after.records().events();
        return new Explainer(now, person)
                .explain(criterion.test())
                .wholeWitness()
                .map(event -> events.on().codes().get(event))
                .filter(code -> code != Codes.MISSING)
                .anyMatch(code -> events.on().days().get(code).first() > from.toEpochDay());
    }

    private Change records(int person, Outcome is) {
        Evaluator evaluator = evaluators.apply(after.asOf());
        String words = Verdict.of(evaluator, after, person);
        if (is != Outcome.NO) {
            return new Change(Cause.RECORDS, "The records changed: " + words);
        }
        return Verdict.keptOffBy(evaluator, after, person)
                .map(criterion -> isAsked(criterion)
                        ? new Change(Cause.DONE, "Now on record: " + words)
                        : after.set().exclude().contains(criterion)
                                ? new Change(Cause.EXEMPT, "Exempt: " + words)
                                : new Change(Cause.RECORDS, "The records changed: " + words))
                .orElse(new Change(Cause.DONE, "Now on record: " + words));
    }
}
