/** What is different between two readings of a list, and why. */
@NullMarked
package dipstick.core.changes;

import org.jspecify.annotations.NullMarked;
