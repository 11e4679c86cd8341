package dipstick.intake.tables;

import java.util.Locale;
import java.util.regex.Pattern;

/** Whether the format of a number in a workbook shows it as a day (ECMA-376 part 1, 18.8.30 and 18.8.31). */
final class DayFormat {
    /** What is quoted, escaped or in brackets is no placeholder. */
    private static final Pattern NO_PLACEHOLDER = Pattern.compile("\"[^\"]*\"|\\\\.|\\[[^\\]]*]|_.|\\*.");

    private static final Pattern DAY_OR_YEAR = Pattern.compile("[dyj]");

    private DayFormat() {}

    static boolean isOfDays(String format) {
        String placeholders =
                NO_PLACEHOLDER.matcher(format.toLowerCase(Locale.ROOT)).replaceAll("");
        return !placeholders.startsWith("general")
                && DAY_OR_YEAR.matcher(placeholders).find();
    }
}
