package dipstick.core.explain;

import dipstick.core.Outcome;
import dipstick.core.criteria.Selection;
import dipstick.core.criteria.Test;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.EventMatch;
import dipstick.core.wording.DayWords;
import dipstick.core.wording.FieldWords;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Says what changes from one day to the next, for one person. */
final class TurnWords {
    private final Evaluator before;
    private final Evaluator after;
    private final int person;
    private final String day;
    private final EventWords words;

    TurnWords(Evaluator before, Evaluator after, Turn turn) {
        this.before = before;
        this.after = after;
        this.person = turn.person();
        this.day = DayWords.day(turn.day());
        this.words = new EventWords(after.population().events());
    }

    String of(Test test) {
        return switch (test) {
            case Test.All(var of) -> ofFirstChange(of, test);
            case Test.Any(var of) -> ofFirstChange(of, test);
            case Test.AtLeast(var count, var of) -> ofFirstChange(of, test);
            case Test.Not(var of) -> of(of);
            case Test.Age age -> ofAge(test);
            case Test.Events(var events, var count, var per) -> ofSelection(events, test);
            case Test.Pick(var end, var events, var is) -> ofSelection(events, test);
            case Test.Sequence sequence ->
                ofChangedRecords(sequence.anchor())
                        .or(() -> ofChangedRecords(sequence.expect()))
                        .orElse("The time to follow up changes on " + day + ".");
            case Test.OfField(var field) ->
                Explainer.capital(FieldWords.name(field.field().name()))
                        + (rises(test) ? " comes into" : " goes out of") + " the days asked for on " + day + ".";
            case Test.Member(var set, var part) ->
                (rises(test) ? "Comes to" : "Leaves") + " what “" + set.name() + "” gives on " + day + ".";
            case Test.InRoster(var roster) -> "The roster “" + roster.name() + "” does not change with the day.";
        };
    }

    private String ofFirstChange(List<Test> parts, Test whole) {
        return parts.stream()
                .filter(part ->
                        before.answer(part).of(person) != after.answer(part).of(person))
                .findFirst()
                .map(this::of)
                .orElseThrow(() -> new IllegalStateException("Nothing changes in " + whole));
    }

    private boolean rises(Test test) {
        Outcome was = before.answer(test).of(person);
        return after.answer(test).of(person).compareTo(was) > 0;
    }

    private String ofAge(Test test) {
        Outcome is = after.answer(test).of(person);
        return switch (is) {
            case YES -> "Comes of the age on " + day + ".";
            case NO -> "Ages out on " + day + ".";
            case UNSURE -> "May come of the age, or age out, on " + day + ".";
        };
    }

    private String ofSelection(Selection selection, Test test) {
        return ofChangedRecords(selection).orElse((rises(test) ? "Begins" : "Ceases") + " to hold on " + day + ".");
    }

    /** The records that count from this day on, or no longer do. */
    private Optional<String> ofChangedRecords(Selection selection) {
        List<EventMatch> was = before.matching(person, selection);
        List<EventMatch> is = after.matching(person, selection);
        List<EventMatch> gone = without(was, is);
        if (!gone.isEmpty()) {
            return Optional.of("The window closes on " + day + " behind "
                    + words.of(selection).list(gone) + ".");
        }
        List<EventMatch> come = without(is, was);
        if (!come.isEmpty()) {
            return Optional.of(
                    "From " + day + " this counts: " + words.of(selection).list(come) + ".");
        }
        return Optional.empty();
    }

    /** Those of {@code some} that are less certain among {@code others}, or not there. */
    private static List<EventMatch> without(List<EventMatch> some, List<EventMatch> others) {
        Map<Integer, Outcome> known = others.stream().collect(Collectors.toMap(EventMatch::event, EventMatch::outcome));
        return some.stream()
                .filter(match -> known.getOrDefault(match.event(), Outcome.NO).compareTo(match.outcome()) < 0)
                .toList();
    }
}
