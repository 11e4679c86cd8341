package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.time.DateRange;
import java.util.Optional;

/**
 * An event that is, or may be, in a selection.
 *
 * @param event its number among all events
 * @param outcome yes or can't tell
 * @param on its days as seen from the as-of date; nothing where it is undated
 */
public record EventMatch(int event, Outcome outcome, Optional<DateRange> on) {}
