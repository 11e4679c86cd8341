/** Finds out what a file that nobody knows may mean, and how sure that is. */
@NullMarked
package dipstick.intake.propose;

import org.jspecify.annotations.NullMarked;
