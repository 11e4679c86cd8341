package dipstick.core.explain;

import dipstick.core.Outcome;
import dipstick.core.criteria.Criterion;
import dipstick.core.criteria.ShouldHave;
import dipstick.core.criteria.Test;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Reading;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Why somebody is on a list, is not, or cannot be told, in the one sentence that decides it. */
public final class Verdict {
    private final Evaluator evaluator;
    private final Reading reading;
    private final int person;
    private final Explainer explainer;

    private Verdict(Evaluator evaluator, Reading reading, int person) {
        this.evaluator = evaluator;
        this.reading = reading;
        this.person = person;
        this.explainer = new Explainer(evaluator, person);
    }

    public static String of(Evaluator evaluator, Reading reading, int person) {
        return new Verdict(evaluator, reading, person).words();
    }

    /** Why the records do not say of somebody: the first criterion of which they do not. */
    public static String whyUnsure(Evaluator evaluator, Reading reading, int person) {
        return new Verdict(evaluator, reading, person).unsureWords();
    }

    /** The first criterion that keeps somebody off a list; nothing where none does by itself. */
    public static Optional<Criterion> keptOffBy(Evaluator evaluator, Reading reading, int person) {
        Verdict verdict = new Verdict(evaluator, reading, person);
        return verdict.firstOf(reading.set().include(), Outcome.NO)
                .or(() -> verdict.firstOf(reading.set().exclude(), Outcome.YES))
                .or(() -> verdict.firstOf(verdict.asked(), Outcome.YES));
    }

    private String words() {
        if (!reading.people().get(person)) {
            return "Recorded as deceased.";
        }
        return switch (reading.list().of(person)) {
            case YES ->
                first(asked(), Outcome.NO)
                        .or(() -> first(asked(), Outcome.UNSURE))
                        .orElse("Everything that is asked of whom it is about holds.");
            case NO ->
                first(reading.set().include(), Outcome.NO)
                        .or(() -> first(reading.set().exclude(), Outcome.YES))
                        .or(() -> first(asked(), Outcome.YES))
                        .orElse("Has what should be on record.");
            case UNSURE -> unsureWords();
        };
    }

    private String unsureWords() {
        return Stream.of(reading.set().include(), reading.set().exclude(), asked())
                .flatMap(section -> first(section, Outcome.UNSURE).stream())
                .findFirst()
                .orElse("The records do not say.");
    }

    private List<Criterion> asked() {
        return reading.set().shouldHaveInForce().map(ShouldHave::of).orElse(List.of());
    }

    /** The sentence of the first criterion that answers so. */
    private Optional<String> first(List<Criterion> criteria, Outcome outcome) {
        return firstOf(criteria, outcome).map(criterion -> leaf(explainer.explain(criterion.test())));
    }

    private Optional<Criterion> firstOf(List<Criterion> criteria, Outcome outcome) {
        return criteria.stream()
                .filter(criterion -> !criterion.off() && answer(criterion) == outcome)
                .findFirst();
    }

    private Outcome answer(Criterion criterion) {
        Test test = criterion.test();
        Outcome outcome = evaluator.answer(test).of(person);
        return outcome != Outcome.UNSURE
                ? outcome
                : switch (criterion.unsure()) {
                    case ASK -> Outcome.UNSURE;
                    case MEETS -> Outcome.YES;
                    case FAILS -> Outcome.NO;
                };
    }

    /** A group says nothing by itself; the first of its parts that answers as it does, says why. */
    private static String leaf(Reason reason) {
        return reason.parts().stream()
                .filter(part ->
                        part.outcome() == reason.outcome() || reason.parts().size() == 1)
                .findFirst()
                .map(Verdict::leaf)
                .orElse(reason.words());
    }
}
