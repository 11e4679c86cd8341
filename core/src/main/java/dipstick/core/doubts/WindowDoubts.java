package dipstick.core.doubts;

import dipstick.core.criteria.Criterion;
import dipstick.core.criteria.Selection;
import dipstick.core.criteria.Selections;
import dipstick.core.criteria.Test;
import dipstick.core.doubts.Doubt.Kind;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.population.ConceptFacts;
import dipstick.core.time.DateRange;
import dipstick.core.time.Window;
import dipstick.core.wording.DayWords;
import dipstick.core.wording.SelectionWords;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Windows that reach back before the records begin, and sequences whose time is not over. */
final class WindowDoubts {
    private WindowDoubts() {}

    static List<Doubt> of(Criterion criterion, Evaluator evaluator) {
        Stream<Doubt> before = Selections.of(criterion.test())
                .flatMap(asked -> beforeRecords(criterion, asked.selection(), evaluator).stream());
        Stream<Doubt> waiting = Selections.within(criterion.test())
                .flatMap(test -> test instanceof Test.Sequence sequence
                        ? stillWaiting(criterion, sequence, evaluator.asOf()).stream()
                        : Stream.empty());
        return Stream.concat(before, waiting).distinct().toList();
    }

    private static Optional<Doubt> beforeRecords(Criterion criterion, Selection selection, Evaluator evaluator) {
        if (selection.window() instanceof Window.AtAge) {
            return Optional.empty();
        }
        int from = selection.window().daysAsOf(evaluator.asOf()).first();
        int first = evaluator.population().events().facts().firstDay(evaluator.conceptsOf(selection));
        boolean reachesBack =
                from != DateRange.OPEN_FIRST && from < evaluator.asOf().toEpochDay();
        return reachesBack && first != ConceptFacts.NO_DAY && from < first
                ? Optional.of(Doubt.of(
                        criterion.id(),
                        Kind.BEFORE_RECORDS,
                        "The window begins on " + DayWords.day(from) + ", but the first "
                                + SelectionWords.one(selection.where(List.of()), evaluator.asOf())
                                + " on record is of " + DayWords.day(first) + "."))
                : Optional.empty();
    }

    private static Optional<Doubt> stillWaiting(Criterion criterion, Test.Sequence sequence, LocalDate asOf) {
        if (sequence.anchor().window() instanceof Window.AtAge) {
            return Optional.empty();
        }
        int overBy = Math.toIntExact(sequence.within().before(asOf).toEpochDay());
        DateRange anchors = sequence.anchor().window().daysAsOf(asOf);
        return anchors.last() > overBy && !anchors.isEmpty()
                ? Optional.of(Doubt.of(
                        criterion.id(),
                        Kind.STILL_WAITING,
                        "After a record since " + DayWords.day(overBy + 1) + " the time of "
                                + DayWords.period(sequence.within()) + " is not over yet."))
                : Optional.empty();
    }
}
