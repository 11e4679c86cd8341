/** Criteria that are typed: read with suggestions from the records, and whole sets as text. */
@NullMarked
package dipstick.server.typed;

import org.jspecify.annotations.NullMarked;
