/** How text is compared, and how numbers and flags are written (criteria.md section 1). */
@NullMarked
package dipstick.core.text;

import org.jspecify.annotations.NullMarked;
