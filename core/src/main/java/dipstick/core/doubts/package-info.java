/** What is valid about a criteria set but looks wrong, so that whoever made it looks again. */
@NullMarked
package dipstick.core.doubts;

import org.jspecify.annotations.NullMarked;
