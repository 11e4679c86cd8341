/** What one colleague does, told to the others at once. */
@ApplicationModule(allowedDependencies = {"accounts", "practice", "records", "sharing"})
@NullMarked
package dipstick.server.together;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
