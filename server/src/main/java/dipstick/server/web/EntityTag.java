package dipstick.server.web;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.http.HttpStatus;

/** Entity tags that number the states of a thing (RFC 9110, ETag and If-Match): {@code "3"}. */
public final class EntityTag {
    private static final Pattern FORM = Pattern.compile("\"(\\d{1,9})\"");

    private EntityTag() {}

    public static String of(int number) {
        return "\"" + number + "\"";
    }

    /** The number that a change says it was made to. */
    public static int number(String tag) {
        Matcher form = FORM.matcher(tag);
        if (!form.matches()) {
            throw Problems.refused(
                    HttpStatus.BAD_REQUEST, "bad-revision", "If-Match should be a number in quotes, such as \"3\".");
        }
        return Integer.parseInt(form.group(1));
    }
}
