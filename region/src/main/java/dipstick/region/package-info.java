/** The core inside Apache Spark: what is asked of one practice is asked of all practices of a region, with the same meaning. */
@NullMarked
package dipstick.region;

import org.jspecify.annotations.NullMarked;
