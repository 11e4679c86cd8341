/** Makes people and event records of the rows of a file, as its intake says. */
@NullMarked
package dipstick.intake.make;

import org.jspecify.annotations.NullMarked;
