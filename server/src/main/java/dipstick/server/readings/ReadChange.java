package dipstick.server.readings;

import dipstick.core.Outcome;
import dipstick.core.changes.Change;

/** Somebody whose place on the list is another one than at the reading before: yes, no, or can't tell for to check. */
public record ReadChange(String person, Outcome was, Outcome nowIs, Change.Cause cause, String words) {}
