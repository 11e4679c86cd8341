/** A reading as CSV and as JSON (criteria.md section 5). */
@NullMarked
package dipstick.core.export;

import org.jspecify.annotations.NullMarked;
