package dipstick.core.criteria;

import dipstick.core.records.Field;
import dipstick.core.records.FieldType;
import dipstick.core.records.Fields;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Reads tests of person and event fields (criteria.md section 3). */
final class FieldTestReader {
    /** The operators that fit each type of field, in the order in which they are named to a person. */
    private static final Map<FieldType, List<String>> OPERATORS = Map.of(
            FieldType.IDENTIFIER, List.of("in", "notIn", "startsWith", "contains", "missing"),
            FieldType.TEXTS, List.of("in", "notIn", "startsWith", "contains", "missing"),
            FieldType.TEXT, List.of("in", "notIn", "startsWith", "contains", "missing"),
            FieldType.NUMBER, List.of("in", "notIn", "above", "atLeast", "below", "atMost", "missing"),
            FieldType.DATE, List.of("in", "notIn", "from", "through", "window", "missing"),
            FieldType.FLAG, List.of("is", "missing"));

    private static final Set<String> ALL_OPERATORS =
            OPERATORS.values().stream().flatMap(List::stream).collect(Collectors.toUnmodifiableSet());

    private static final Set<String> LOWER = Set.of("above", "atLeast", "from");
    private static final Set<String> UPPER = Set.of("below", "atMost", "through");

    private static final Condition ANY_VALUE = new Condition.Missing(false);

    private final ValueReader values;
    private final WindowReader windows;

    FieldTestReader(ValueReader values, WindowReader windows) {
        this.values = values;
        this.windows = windows;
    }

    FieldTest readOfPerson(Spot spot, Fields fields) {
        return read(spot, fields.tested(), false);
    }

    /** A test of an event field, where a value may be asked in a unit. */
    FieldTest readOfEvent(Spot spot, Fields fields) {
        return read(spot, fields.tested(), true);
    }

    private FieldTest read(Spot spot, List<Field> fields, boolean ofEvent) {
        Field nothing = new Field("", FieldType.TEXT);
        if (!spot.isObject("a test of a field, such as {\"field\": \"status\", \"in\": [\"final\"]}")
                || !spot.requires("field")) {
            return new FieldTest(nothing, ANY_VALUE, Optional.empty());
        }
        String name = spot.get("field").words();
        Optional<Field> field =
                fields.stream().filter(one -> one.name().equals(name)).findFirst();
        if (field.isEmpty()) {
            spot.get("field")
                    .problem("There is no field “" + name + "”. Fields here: "
                            + fields.stream().map(Field::name).collect(Collectors.joining(", ")) + ".");
            return new FieldTest(nothing, ANY_VALUE, Optional.empty());
        }
        boolean mayHaveUnit = ofEvent && name.equals("value");
        List<String> operators = operators(spot, field.get(), mayHaveUnit);
        Optional<ComparedText> unit = spot.has("unit") && mayHaveUnit ? unit(spot, operators) : Optional.empty();
        return new FieldTest(field.get(), condition(spot, field.get(), operators), unit);
    }

    private Optional<ComparedText> unit(Spot spot, List<String> operators) {
        if (operators.contains("missing")) {
            spot.get("unit").problem("Whether a value is missing does not depend on a unit.");
            return Optional.empty();
        }
        return Optional.of(ComparedText.of(values.writtenText(spot.get("unit")), FieldType.TEXT));
    }

    /** The operators that stand here and fit the field; says what is wrong with every other key. */
    private static List<String> operators(Spot spot, Field field, boolean mayHaveUnit) {
        List<String> fitting = OPERATORS.get(field.type());
        boolean anyWrong = false;
        for (String key : spot.keys()) {
            if (key.equals("field") || (key.equals("unit") && mayHaveUnit) || fitting.contains(key)) {
                continue;
            }
            anyWrong = true;
            String what = ALL_OPERATORS.contains(key)
                    ? "“" + key + "” does not fit “" + field.name() + "”, which holds a "
                            + field.type().word()
                    : "“" + key + "” is not known here";
            spot.get(key).problem(what + ". What fits: " + String.join(", ", fitting) + ".");
        }
        List<String> operators = spot.keys().stream().filter(fitting::contains).toList();
        boolean bounds = operators.size() == 2
                && operators.stream().anyMatch(LOWER::contains)
                && operators.stream().anyMatch(UPPER::contains);
        if (operators.isEmpty() && !anyWrong) {
            spot.problem("A test of a field needs one of: " + String.join(", ", fitting) + ".");
        } else if (operators.size() > 1 && !bounds) {
            spot.problem("A test of a field has one operator, or two bounds, one from each side.");
        }
        return operators;
    }

    private Condition condition(Spot spot, Field field, List<String> operators) {
        if (operators.isEmpty()) {
            return ANY_VALUE;
        }
        String operator = operators.getFirst();
        Spot operand = spot.get(operator);
        if (operator.equals("missing")) {
            return new Condition.Missing(operand.truth());
        }
        return switch (field.type()) {
            case IDENTIFIER, TEXT, TEXTS -> textCondition(operator, operand, field.type());
            case NUMBER ->
                operator.equals("in") || operator.equals("notIn")
                        ? new Condition.NumberIn(numbers(operand), operator.equals("notIn"))
                        : new Condition.NumberBounds(bound(spot, "above", "atLeast"), bound(spot, "below", "atMost"));
            case DATE ->
                switch (operator) {
                    case "in", "notIn" ->
                        new Condition.DateIn(
                                operand.items().stream().map(values::date).toList(), operator.equals("notIn"));
                    case "window" -> new Condition.DateInWindow(windows.read(operand));
                    default ->
                        new Condition.DateBounds(WindowReader.bounds(
                                spot,
                                spot.find("from").map(values::date),
                                spot.find("through").map(values::date)));
                };
            case FLAG -> new Condition.FlagIs(operand.truth());
            case CODINGS -> throw new IllegalStateException("No test is about further codes: " + operator);
        };
    }

    private Condition textCondition(String operator, Spot operand, FieldType type) {
        return switch (operator) {
            case "in", "notIn" ->
                new Condition.TextIn(
                        values.writtenTexts(operand).stream()
                                .map(text -> ComparedText.of(text, type))
                                .collect(Collectors.toSet()),
                        operator.equals("notIn"));
            case "startsWith" -> new Condition.TextStartsWith(ComparedText.of(values.writtenText(operand), type));
            default -> new Condition.TextContains(ComparedText.of(values.writtenText(operand), type));
        };
    }

    private Set<Double> numbers(Spot operand) {
        Set<Double> numbers = new HashSet<>();
        operand.items().forEach(item -> numbers.add(values.number(item)));
        return numbers;
    }

    private Optional<Condition.Bound> bound(Spot spot, String outside, String inside) {
        if (spot.has(outside)) {
            return Optional.of(new Condition.Bound(values.number(spot.get(outside)), false));
        }
        return spot.find(inside).map(at -> new Condition.Bound(values.number(at), true));
    }
}
