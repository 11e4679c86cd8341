/** People and event records as they come in: their fields, and the delimited files that hold them. */
@NullMarked
package dipstick.core.records;

import org.jspecify.annotations.NullMarked;
