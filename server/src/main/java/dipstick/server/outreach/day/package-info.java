/** What is to be done today, and what was done by whom. */
@NamedInterface("day")
@NullMarked
package dipstick.server.outreach.day;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.NamedInterface;
