package dipstick.server.readings;

import java.util.Optional;
import java.util.Set;

/**
 * A list was read anew, within the transaction that keeps the reading.
 *
 * @param people who alone may stand otherwise than at the reading before; nothing where everybody may
 */
public record ReadingTaken(TakenReading reading, Optional<Set<String>> people) {}
