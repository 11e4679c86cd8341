package dipstick.core.text;

import java.util.OptionalDouble;
import java.util.regex.Pattern;

/** Numbers as they are written in JSON, leading zeros allowed: {@code 12}, {@code -0.5}, {@code 1e3}. */
public final class WrittenNumber {
    private static final Pattern FORM = Pattern.compile("-?\\d+(?:\\.\\d+)?(?:[eE][+-]?\\d+)?");

    private WrittenNumber() {}

    /** The number, or nothing where {@code text} is none or too large to be held. */
    public static OptionalDouble parse(String text) {
        String trimmed = NormalText.identifier(text);
        if (!FORM.matcher(trimmed).matches()) {
            return OptionalDouble.empty();
        }
        double number = Double.parseDouble(trimmed);
        // Adding zero turns -0 into 0, so that the two are one number.
        return Double.isInfinite(number) ? OptionalDouble.empty() : OptionalDouble.of(number + 0.0);
    }
}
