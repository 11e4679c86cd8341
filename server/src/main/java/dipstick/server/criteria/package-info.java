/** Criteria sets: saved with versions, and worked on at the bench. */
@NullMarked
package dipstick.server.criteria;

import org.jspecify.annotations.NullMarked;
