package dipstick.server.comparing;

import dipstick.core.changes.Change;
import dipstick.server.people.PersonLine;
import java.util.Optional;

/**
 * Somebody between two readings of a list.
 *
 * @param was where they stood at the first one
 * @param nowIs where they stand at the other
 * @param cause what made the difference last; nothing where their place is the same
 * @param excused why a colleague has excused them since; nothing where nobody did
 * @param dueWas the due date at the first one; a date, "never", or empty
 */
record Moved(
        PersonLine person,
        Place was,
        Place nowIs,
        Optional<Change.Cause> cause,
        String words,
        Optional<String> excused,
        String dueWas,
        String dueIs,
        String bandWas,
        String bandIs) {
    /** On a list, to check, or off it. */
    enum Place {
        ON,
        CHECK,
        OFF
    }
}
