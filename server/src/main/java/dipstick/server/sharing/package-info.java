/** Whose each criteria set and its list are, and what every colleague may do with them. */
@ApplicationModule(allowedDependencies = {"accounts", "audit", "web"})
@NullMarked
package dipstick.server.sharing;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
