/** What the practice is: its name, its time zone and its today. */
@NullMarked
package dipstick.server.practice;

import org.jspecify.annotations.NullMarked;
