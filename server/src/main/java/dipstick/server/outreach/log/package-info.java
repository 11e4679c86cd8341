/** What was done about one person, on all lists that one may see. */
@NamedInterface("log")
@NullMarked
package dipstick.server.outreach.log;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.NamedInterface;
