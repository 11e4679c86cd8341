/** The region measured side by side with Spark SQL, over the same files. Not part of the tests. */
@NullMarked
package dipstick.region.bench;

import org.jspecify.annotations.NullMarked;
