/** {@code ./dipstick region convert}: from our CSV to Parquet. */
@NullMarked
package dipstick.region.convert;

import org.jspecify.annotations.NullMarked;
