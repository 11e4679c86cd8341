package dipstick.core.text;

/** Text that is cut where it is longer than there is room, never within a character of two units. */
public final class Shortened {
    private static final String MORE = "…";

    private Shortened() {}

    /** @param most in UTF-16 units, as lengths of columns and of requests are counted */
    public static String to(int most, String text) {
        if (text.length() <= most) {
            return text;
        }
        boolean splits = most > 0 && Character.isHighSurrogate(text.charAt(most - 1));
        return text.substring(0, splits ? most - 1 : most);
    }

    /** As {@link #to}, where the last character says that there is more. */
    public static String toldSo(int most, String text) {
        return text.length() <= most ? text : to(most - MORE.length(), text).strip() + MORE;
    }
}
