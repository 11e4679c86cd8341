/** Who is or was on a list, what colleagues did about each, and who has whom in hand: the rows that all rooms of outreach read. */
@NamedInterface("entries")
@NullMarked
package dipstick.server.outreach.entries;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.NamedInterface;
