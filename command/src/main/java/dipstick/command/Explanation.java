package dipstick.command;

import dipstick.core.Outcome;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.Criterion;
import dipstick.core.criteria.ShouldHave;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Reading;
import dipstick.core.explain.Explainer;
import dipstick.core.explain.Reason;
import dipstick.core.wording.SentencePrinter;
import java.util.List;

/** Why each criterion of a set answers as it does for one person, as lines of text. */
final class Explanation {
    private final Evaluator evaluator;
    private final CriteriaSet set;

    Explanation(Evaluator evaluator, CriteriaSet set) {
        this.evaluator = evaluator;
        this.set = set;
    }

    String of(int person) {
        Reading reading = evaluator.read(set);
        StringBuilder text = new StringBuilder();
        text.append(evaluator.population().idOf(person)).append(": ");
        text.append(reading.people().get(person) ? listWords(reading.list().of(person)) : "not in the population");
        text.append('\n');
        section(text, "include", set.include(), person);
        section(text, "exclude", set.exclude(), person);
        section(text, "should have", set.shouldHave().map(ShouldHave::of).orElse(List.of()), person);
        return text.toString();
    }

    private void section(StringBuilder text, String name, List<Criterion> criteria, int person) {
        for (Criterion criterion : criteria) {
            if (!criterion.off()) {
                Reason reason = new Explainer(evaluator, person).explain(criterion.test());
                String sentence = new SentencePrinter(evaluator.asOf())
                        .print(criterion.test())
                        .text();
                text.append(name + " " + criterion.id() + ": " + sentence + "\n");
                reason(text, reason, 1);
            }
        }
    }

    private static void reason(StringBuilder text, Reason reason, int depth) {
        text.append("  ".repeat(depth)).append(word(reason.outcome())).append(": ");
        text.append(reason.words()).append('\n');
        reason.parts().forEach(part -> reason(text, part, depth + 1));
    }

    private static String word(Outcome outcome) {
        return switch (outcome) {
            case YES -> "yes";
            case NO -> "no";
            case UNSURE -> "can't tell";
        };
    }

    private static String listWords(Outcome outcome) {
        return switch (outcome) {
            case YES -> "on the list";
            case NO -> "not on the list";
            case UNSURE -> "to check";
        };
    }
}
