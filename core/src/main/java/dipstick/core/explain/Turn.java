package dipstick.core.explain;

import dipstick.core.Outcome;
import java.time.LocalDate;

/**
 * A day on which somebody's answer changes.
 *
 * @param person the person's number
 * @param day the first day with the new answer
 * @param before the answer on the day before
 * @param after the answer on the day
 */
public record Turn(int person, LocalDate day, Outcome before, Outcome after) {}
