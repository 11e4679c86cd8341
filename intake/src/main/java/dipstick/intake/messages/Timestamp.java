package dipstick.intake.messages;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A time as HL7 v2 writes it (TS, v2.5.1 chapter 2.A.77), as precise as it says. */
final class Timestamp {
    private static final Pattern TIME = Pattern.compile(
            "(\\d{4})(?:(\\d{2})(?:(\\d{2})(?:(\\d{2})(?:(\\d{2})(?:(\\d{2})(?:\\.\\d+)?)?)?)?)?)?([+-]\\d{4})?");

    private Timestamp() {}

    /** As ISO 8601; what is no such time stays as it is. */
    static String asIso(String text) {
        Matcher time = TIME.matcher(text);
        if (!time.matches()) {
            return text;
        }
        if (time.group(2) == null) {
            return time.group(1);
        }
        String month = time.group(1) + "-" + time.group(2);
        if (time.group(3) == null) {
            return month;
        }
        String day = month + "-" + time.group(3);
        if (time.group(4) == null) {
            return day;
        }
        String minute = time.group(5) == null ? "00" : time.group(5);
        String offset = time.group(7) == null
                ? ""
                : time.group(7).substring(0, 3) + ":" + time.group(7).substring(3);
        return day + "T" + time.group(4) + ":" + minute + (time.group(6) == null ? "" : ":" + time.group(6)) + offset;
    }
}
