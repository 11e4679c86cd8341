package dipstick.core.doubts;

import dipstick.core.criteria.ComparedText;
import dipstick.core.criteria.Condition;
import dipstick.core.criteria.Criterion;
import dipstick.core.criteria.FieldTest;
import dipstick.core.criteria.Selections;
import dipstick.core.criteria.Test;
import dipstick.core.doubts.Doubt.Kind;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.population.ConceptFacts;
import dipstick.core.wording.FieldWords;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.stream.Collectors;

/** Values that no record has or comes near, and values whose units differ. */
final class ValueDoubts {
    private final Criterion criterion;
    private final Evaluator evaluator;
    private final List<Doubt> found = new ArrayList<>();

    private ValueDoubts(Criterion criterion, Evaluator evaluator) {
        this.criterion = criterion;
        this.evaluator = evaluator;
    }

    static List<Doubt> of(Criterion criterion, Evaluator evaluator) {
        ValueDoubts doubts = new ValueDoubts(criterion, evaluator);
        Selections.within(criterion.test()).forEach(test -> {
            if (test instanceof Test.OfField(FieldTest field)) {
                doubts.ofColumn(field, evaluator.population().column(field.field()));
            }
        });
        Selections.of(criterion.test()).forEach(doubts::ofEvents);
        return doubts.found.stream().distinct().toList();
    }

    private void ofEvents(Selections.Asked asked) {
        for (FieldTest test : asked.tests()) {
            if (test.field().name().equals("value")) {
                ofValue(test, evaluator.conceptsOf(asked.selection()));
            } else {
                ofColumn(test, evaluator.population().events().column(test.field()));
            }
        }
    }

    private void ofValue(FieldTest test, int[] concepts) {
        ConceptFacts facts = evaluator.population().events().facts();
        double lowest = facts.lowest(concepts);
        double highest = facts.highest(concepts);
        if (test.condition() instanceof Condition.NumberBounds bounds && lowest <= highest) {
            outside(bounds, lowest, highest, "value");
        }
        BitSet units = facts.units(concepts);
        if (!(test.condition() instanceof Condition.Missing) && test.unit().isEmpty() && units.cardinality() > 1) {
            Column.OfText column = evaluator.population().events().unit();
            String words = units.stream()
                    .mapToObj(code ->
                            code == Codes.MISSING ? "none" : column.written().get(code))
                    .collect(Collectors.joining(", "));
            found.add(Doubt.of(criterion.id(), Kind.MIXED_UNITS, "The values are in different units: " + words + "."));
        }
    }

    private void ofColumn(FieldTest test, Column column) {
        String field = FieldWords.name(test.field().name());
        switch (test.condition()) {
            case Condition.NumberBounds bounds
            when column instanceof Column.OfNumber numbers -> {
                List<Double> known =
                        numbers.numbers().subList(1, numbers.numbers().size());
                if (!known.isEmpty()) {
                    outside(
                            bounds,
                            known.stream()
                                    .mapToDouble(Double::doubleValue)
                                    .min()
                                    .orElse(0),
                            known.stream()
                                    .mapToDouble(Double::doubleValue)
                                    .max()
                                    .orElse(0),
                            field);
                }
            }
            case Condition.TextIn(var texts, var _)
            when column instanceof Column.OfText known && isKept(known) ->
                texts.stream()
                        .filter(text -> !known.codeOf().containsKey(text.compared()))
                        .map(ComparedText::written)
                        .sorted()
                        .forEach(written -> found.add(Doubt.of(
                                criterion.id(),
                                Kind.OUTSIDE_RECORDS,
                                "“" + written + "” is nowhere on record as " + field + ".")));
            default -> {
                // Nothing can be said of the other conditions without asking who meets them, which the levels show.
            }
        }
    }

    /** Whether the column knows its texts; one whose texts are all different does not. */
    private static boolean isKept(Column.OfText column) {
        return !column.codeOf().isEmpty();
    }

    private void outside(Condition.NumberBounds bounds, double lowest, double highest, String field) {
        bounds.lower()
                .filter(lower -> lower.value() > highest)
                .ifPresent(lower -> found.add(Doubt.of(
                        criterion.id(),
                        Kind.OUTSIDE_RECORDS,
                        "The highest " + field + " on record is " + FieldWords.number(highest) + ".")));
        bounds.upper()
                .filter(upper -> upper.value() < lowest)
                .ifPresent(upper -> found.add(Doubt.of(
                        criterion.id(),
                        Kind.OUTSIDE_RECORDS,
                        "The lowest " + field + " on record is " + FieldWords.number(lowest) + ".")));
    }
}
