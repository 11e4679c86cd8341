package dipstick.core.wording;

import dipstick.core.criteria.ComparedText;
import dipstick.core.criteria.Condition;
import dipstick.core.criteria.FieldTest;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.stream.Stream;

/** Tests of fields in words. */
public final class FieldWords {
    private FieldWords() {}

    /** A field's name as people say it: {@code birth_date} is birth date. */
    public static String name(String field) {
        return switch (field) {
            case "on" -> "date";
            case "until" -> "end date";
            case "id" -> "person id";
            default -> field.replace('_', ' ');
        };
    }

    static String of(FieldTest test, LocalDate asOf) {
        String unit = test.unit().map(word -> " " + word).orElse("");
        return name(test.field().name()) + " " + condition(test.condition(), unit, asOf);
    }

    public static String number(double number) {
        return BigDecimal.valueOf(number).stripTrailingZeros().toPlainString();
    }

    private static String condition(Condition condition, String unit, LocalDate asOf) {
        return switch (condition) {
            case Condition.TextIn in -> is(in.negated()) + either(written(in.texts()));
            case Condition.TextStartsWith starts ->
                "starts with " + starts.start().written();
            case Condition.TextContains contains ->
                "contains " + contains.part().written();
            case Condition.NumberIn in ->
                is(in.negated())
                        + either(in.numbers().stream()
                                .sorted()
                                .map(FieldWords::number)
                                .toList())
                        + unit;
            case Condition.NumberBounds bounds -> "is " + bounds(bounds, unit);
            case Condition.DateIn in ->
                is(in.negated()) + either(in.days().stream().map(DayWords::date).toList());
            case Condition.DateBounds(var days) -> "is " + DayWords.inSentence(days);
            case Condition.DateInWindow(var window) -> "is " + WindowWords.of(window, asOf);
            case Condition.FlagIs(var flag) -> flag ? "is yes" : "is no";
            case Condition.Missing(var missing) -> missing ? "is blank" : "is on record";
        };
    }

    private static String is(boolean negated) {
        return negated ? "is not " : "is ";
    }

    private static String bounds(Condition.NumberBounds bounds, String unit) {
        List<String> ends = Stream.concat(
                        bounds
                                .lower()
                                .map(bound -> (bound.inside() ? "at least " : "above ") + number(bound.value()))
                                .stream(),
                        bounds
                                .upper()
                                .map(bound -> (bound.inside() ? "at most " : "below ") + number(bound.value()))
                                .stream())
                .toList();
        return String.join(" and ", ends) + unit;
    }

    private static List<String> written(Collection<ComparedText> texts) {
        return texts.stream().map(ComparedText::written).sorted().toList();
    }

    /** "a, b or c"; where there is none, words that say so. */
    static String either(List<String> items) {
        if (items.isEmpty()) {
            return "(nothing chosen)";
        }
        if (items.size() == 1) {
            return items.getFirst();
        }
        return String.join(", ", items.subList(0, items.size() - 1)) + " or " + items.getLast();
    }
}
