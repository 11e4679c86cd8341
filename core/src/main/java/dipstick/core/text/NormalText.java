package dipstick.core.text;

import java.text.Normalizer;
import java.util.Locale;

/**
 * Text as it is compared: Unicode NFKC, lower case (root locale), runs of white space to one space, ends trimmed.
 * Text that is then empty is missing.
 */
public final class NormalText {
    private NormalText() {}

    public static String of(String text) {
        String composed = isAscii(text) ? text : Normalizer.normalize(text, Normalizer.Form.NFKC);
        return gatherSpaces(composed.toLowerCase(Locale.ROOT));
    }

    /** An identifier as it is compared: trimmed, no more. */
    public static String identifier(String text) {
        int start = 0;
        int end = text.length();
        while (start < end && isSpace(text.charAt(start))) {
            start++;
        }
        while (end > start && isSpace(text.charAt(end - 1))) {
            end--;
        }
        return text.substring(start, end);
    }

    private static boolean isAscii(String text) {
        for (int i = 0; i < text.length(); i++) {
            if (text.charAt(i) >= 0x80) {
                return false;
            }
        }
        return true;
    }

    private static String gatherSpaces(String text) {
        StringBuilder gathered = new StringBuilder(text.length());
        boolean pending = false;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (isSpace(c)) {
                pending = !gathered.isEmpty();
            } else {
                if (pending) {
                    gathered.append(' ');
                    pending = false;
                }
                gathered.append(c);
            }
        }
        return gathered.toString();
    }

    /** Unicode's White_Space property; no such character lies outside the first plane. */
    private static boolean isSpace(char c) {
        return (c >= 0x09 && c <= 0x0D) || c == 0x85 || Character.isSpaceChar(c);
    }
}
