/** The computation of Dipstick: records in, a criteria set, and one answer for every person. */
@NullMarked
package dipstick.core;

import org.jspecify.annotations.NullMarked;
