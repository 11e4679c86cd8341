/** Why an answer is what it is: the reason in words, and the records that made it so. */
@NullMarked
package dipstick.core.explain;

import org.jspecify.annotations.NullMarked;
