/** Calendar periods, ranges of days, partial dates, windows and ages (criteria.md sections 1 and 2). */
@NullMarked
package dipstick.core.time;

import org.jspecify.annotations.NullMarked;
