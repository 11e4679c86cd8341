/** A list as a colleague works it: piles, pages, columns, orders, and what their own views remember. */
@NamedInterface("desk")
@NullMarked
package dipstick.server.outreach.desk;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.NamedInterface;
