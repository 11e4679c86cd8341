package dipstick.server.web;

import java.time.LocalDate;
import org.springframework.http.HttpStatus;

/** Days that are asked for. */
public final class Days {
    private static final int LAST_YEAR = 9999;

    private Days() {}

    /** Refuses a day outside the years 1 to 9999, beyond which nothing is counted (criteria.md section 2). */
    public static void requireCounted(LocalDate day) {
        if (day.getYear() < 1 || day.getYear() > LAST_YEAR) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "no-such-day",
                    "A day lies in the years 1 to 9999. Nothing can be looked at as of this one.");
        }
    }
}
