/** What every address shares: problem details and the pages of the browser. */
@ApplicationModule(allowedDependencies = {"database", "practice"})
@NullMarked
package dipstick.server.web;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
