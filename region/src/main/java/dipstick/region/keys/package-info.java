/** Keys of practices: who is on a list is written so that only the practice itself can read it (Parquet Modular Encryption). */
@NullMarked
package dipstick.region.keys;

import org.jspecify.annotations.NullMarked;
