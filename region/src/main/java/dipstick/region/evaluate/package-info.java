/** {@code ./dipstick region evaluate}, {@code levels} and {@code ribbon}: one criteria set over the records of a region. */
@NullMarked
package dipstick.region.evaluate;

import org.jspecify.annotations.NullMarked;
