/** What the practice is: its name, its time zone and its today. */
@ApplicationModule(allowedDependencies = {})
@NullMarked
package dipstick.server.practice;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
