package dipstick.intake.make;

import dipstick.intake.describe.Written.Decimal;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads numbers as people and machines write them: with a decimal comma, groups of figures, bounds and units. */
final class WrittenNumbers {
    private static final Pattern POINT =
            Pattern.compile("[+-]?(?:\\d{1,3}(?:[,' ]\\d{3})+|\\d+)?(?:\\.\\d+)?(?:[eE][+-]?\\d{1,3})?");
    private static final Pattern COMMA =
            Pattern.compile("[+-]?(?:\\d{1,3}(?:[.' ]\\d{3})+|\\d+)?(?:,\\d+)?(?:[eE][+-]?\\d{1,3})?");
    private static final Pattern WHOLE =
            Pattern.compile("([<>≤≥]=?|=)?\\s*([+-]?[\\d.,' ]*\\d(?:[eE][+-]?\\d{1,3})?)\\s*([\\p{L}%µ°‰][^\\s]*)?");

    private final Decimal decimal;

    /** What a text comes to as a number. */
    sealed interface Outcome {
        /** @param unit what stands behind it; empty where nothing does */
        record Plain(double number, String unit) implements Outcome {}

        /** A bound such as {@code >90}: the number is where it lies. */
        record Bound(double number, String unit) implements Outcome {}

        record NoNumber() implements Outcome {}
    }

    WrittenNumbers(Decimal decimal) {
        this.decimal = decimal;
    }

    /** @param text not empty, ends trimmed */
    Outcome read(String text) {
        Matcher whole =
                WHOLE.matcher(text.replace('\u00A0', ' ').replace('\u202F', ' ').replace('−', '-'));
        if (!whole.matches()) {
            return new Outcome.NoNumber();
        }
        String figures = whole.group(2).strip();
        Pattern shape = decimal == Decimal.COMMA ? COMMA : POINT;
        if (!shape.matcher(figures).matches()) {
            return new Outcome.NoNumber();
        }
        String grouping = decimal == Decimal.COMMA ? "[.' ]" : "[,' ]";
        String plain = figures.replaceAll(grouping, "").replace(',', '.');
        double number = Double.parseDouble(plain);
        String unit = whole.group(3) == null ? "" : whole.group(3);
        if (!Double.isFinite(number)) {
            return new Outcome.NoNumber();
        }
        boolean bound = whole.group(1) != null && !whole.group(1).equals("=");
        return bound ? new Outcome.Bound(number, unit) : new Outcome.Plain(number, unit);
    }
}
