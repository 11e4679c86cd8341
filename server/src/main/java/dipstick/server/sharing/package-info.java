/** Whose each criteria set and its list are, and what every colleague may do with them. */
@NullMarked
package dipstick.server.sharing;

import org.jspecify.annotations.NullMarked;
