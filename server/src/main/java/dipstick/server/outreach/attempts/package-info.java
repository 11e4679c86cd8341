/** What comes of trying to reach somebody, and the record of it. */
@NamedInterface("attempts")
@NullMarked
package dipstick.server.outreach.attempts;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.NamedInterface;
