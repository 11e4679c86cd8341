/** What a colleague does about people on lists, and takes back. */
@NamedInterface("work")
@NullMarked
package dipstick.server.outreach.work;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.NamedInterface;
