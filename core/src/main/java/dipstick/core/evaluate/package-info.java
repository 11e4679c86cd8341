/** Answers a criteria set over a population as of a day: who is on the list, the levels, due dates and bands. */
@NullMarked
package dipstick.core.evaluate;

import org.jspecify.annotations.NullMarked;
