/** Paper: what is printed, in every script that there is a typeface for, as tagged PDF. It knows nothing of lists. */
@ApplicationModule(allowedDependencies = {"web"})
@NullMarked
package dipstick.server.paper;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
