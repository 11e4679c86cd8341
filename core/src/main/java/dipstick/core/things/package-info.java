/** Two lists of things laid side by side: what is only in one, in both, and in which cells they differ. */
@NullMarked
package dipstick.core.things;

import org.jspecify.annotations.NullMarked;
