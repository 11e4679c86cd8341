/** Who is excused from a list, until when, and why. */
@NamedInterface("excused")
@NullMarked
package dipstick.server.outreach.excused;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.NamedInterface;
