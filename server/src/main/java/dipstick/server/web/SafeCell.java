package dipstick.server.web;

/** Text from records as a cell that no spreadsheet takes for a formula. */
public final class SafeCell {
    private static final String BEGINNINGS_OF_FORMULAS = "=+-@\t\r";

    private SafeCell() {}

    /** The text itself, or with an apostrophe before it where a spreadsheet would compute it. */
    public static String of(String text) {
        boolean formula = !text.isEmpty() && BEGINNINGS_OF_FORMULAS.indexOf(text.charAt(0)) >= 0;
        return formula ? "'" + text : text;
    }
}
