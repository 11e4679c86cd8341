/** The command line of criteria.md section 5. */
@NullMarked
package dipstick.command;

import org.jspecify.annotations.NullMarked;
