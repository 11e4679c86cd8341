/** Readings: what a list was when it was read, kept for ever, and what changed since the reading before. */
@NullMarked
package dipstick.server.readings;

import org.jspecify.annotations.NullMarked;
