package dipstick.core.export;

import java.util.regex.Pattern;

/** Text from records as a cell that no spreadsheet takes for a formula. */
public final class SafeCell {
    /** With the wide ones that some spreadsheets take for the same. */
    private static final String BEGINNINGS_OF_FORMULAS = "=+-@\t\r\n\uFF1D\uFF0B\uFF0D\uFF20";

    /** A telephone number or a number computes nothing, and comes back as it went out. */
    private static final Pattern FIGURES = Pattern.compile("[+-][0-9][0-9 ().,/]*");

    private SafeCell() {}

    /** The text itself, or with an apostrophe before it where a spreadsheet would compute it. */
    public static String of(String text) {
        boolean formula = !text.isEmpty()
                && BEGINNINGS_OF_FORMULAS.indexOf(text.charAt(0)) >= 0
                && !FIGURES.matcher(text).matches();
        return formula ? "'" + text : text;
    }
}
