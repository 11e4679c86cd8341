package dipstick.core.wording;

import dipstick.core.criteria.ComparedText;
import dipstick.core.criteria.Condition;
import dipstick.core.criteria.FieldTest;
import dipstick.core.records.Coding;
import dipstick.core.text.NormalText;
import java.math.BigDecimal;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;

/** Tests of fields in words. */
public final class FieldWords {
    private static final Pattern SAID_AS_WRITTEN = Pattern.compile("\\p{L}[\\p{L}\\p{N}]*(?:_[\\p{L}\\p{N}]+)*");

    /** Names of fields that are said like others, or like the beginning of another sentence. */
    private static final Set<String> TAKEN = Set.of(
            "date",
            "end_date",
            "recording_date",
            "had",
            "has",
            "never",
            "no",
            "a",
            "an",
            "at",
            "exactly",
            "any",
            "all",
            "not",
            "aged",
            "the",
            "latest",
            "earliest",
            "after",
            "in",
            "eligible",
            "active");

    private FieldWords() {}

    /** A field's name as people say it: {@code birth_date} is birth date. */
    public static String name(String field) {
        return switch (field) {
            case "on" -> "date";
            case "until" -> "end date";
            case "recorded_on" -> "recording date";
            default -> field.replace('_', ' ');
        };
    }

    /** A field's name where it must be told from every other: one that is not said as it is written is quoted. */
    public static String inSentence(String field) {
        boolean plain = field.equals("on") || (SAID_AS_WRITTEN.matcher(field).matches() && !isTaken(field));
        return plain ? name(field) : Quoted.always(field);
    }

    /** Whether a field of this name must always be quoted. */
    public static boolean isTaken(String field) {
        return TAKEN.contains(NormalText.of(field));
    }

    static String of(FieldTest test, Place place) {
        String unit = test.unit().map(word -> " " + place.at("unit").text(word)).orElse("");
        return inSentence(test.field().name()) + " " + condition(test.condition(), unit, place);
    }

    /** Several tests of one record, all of which must hold. */
    static String all(List<FieldTest> tests, Place place) {
        return IntStream.range(0, tests.size())
                .mapToObj(i -> of(tests.get(i), place.at(i)))
                .collect(Collectors.joining(" and "));
    }

    /** A further code as people say it: "KF1 of lab". */
    public static String coding(Coding coding) {
        return coding.system().isEmpty() ? coding.code() : coding.code() + " of " + coding.system();
    }

    public static String number(double number) {
        return BigDecimal.valueOf(number).stripTrailingZeros().toPlainString();
    }

    private static String condition(Condition condition, String unit, Place place) {
        return switch (condition) {
            case Condition.TextIn in ->
                is(in.negated())
                        + either(operand(in.negated(), place)
                                .items(written(in.texts()), json -> Quoted.value(json.stringValue())));
            case Condition.TextStartsWith starts ->
                "starts with " + place.at("startsWith").text(starts.start());
            case Condition.TextContains contains ->
                "contains " + place.at("contains").text(contains.part());
            case Condition.NumberIn in ->
                is(in.negated())
                        + either(operand(in.negated(), place)
                                .items(
                                        in.numbers().stream()
                                                .sorted()
                                                .map(FieldWords::number)
                                                .toList(),
                                        json -> number(json.doubleValue())))
                        + unit;
            case Condition.NumberBounds bounds -> "is " + bounds(bounds, place) + unit;
            case Condition.DateIn in ->
                is(in.negated())
                        + either(operand(in.negated(), place)
                                .items(in.days().stream().map(DayWords::date).toList(), JsonNode::stringValue));
            case Condition.DateBounds(var days) ->
                "is " + WindowWords.span(days, place.at("from"), place.at("through"));
            case Condition.DateInWindow(var window) -> "falls " + WindowWords.of(window, place.at("window"));
            case Condition.FlagIs(var flag) -> flag ? "is yes" : "is no";
            case Condition.Missing(var missing) -> missing ? "is blank" : "is on record";
        };
    }

    private static Place operand(boolean negated, Place place) {
        return place.at(negated ? "notIn" : "in");
    }

    private static String is(boolean negated) {
        return negated ? "is not " : "is ";
    }

    private static String bounds(Condition.NumberBounds bounds, Place place) {
        return Stream.concat(
                        bounds
                                .lower()
                                .map(bound -> bound.inside()
                                        ? "at least " + place.at("atLeast").words(number(bound.value()))
                                        : "above " + place.at("above").words(number(bound.value())))
                                .stream(),
                        bounds
                                .upper()
                                .map(bound -> bound.inside()
                                        ? "at most " + place.at("atMost").words(number(bound.value()))
                                        : "below " + place.at("below").words(number(bound.value())))
                                .stream())
                .collect(Collectors.joining(" and "));
    }

    private static List<String> written(Collection<ComparedText> texts) {
        return texts.stream()
                .map(ComparedText::written)
                .sorted()
                .map(Quoted::value)
                .toList();
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
