/** Criteria sets in which what differs from practice to practice is left open, and asked where they are opened. */
@NullMarked
package dipstick.core.templates;

import org.jspecify.annotations.NullMarked;
