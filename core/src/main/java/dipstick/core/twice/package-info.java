/** People of a population who may be the same person twice. */
@NullMarked
package dipstick.core.twice;

import org.jspecify.annotations.NullMarked;
