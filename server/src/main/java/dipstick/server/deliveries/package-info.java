/** Files of other systems on their way in: what they may mean, what they would change, taken or left. */
@ApplicationModule(allowedDependencies = {"audit", "criteria", "practice", "records", "sharing", "web"})
@NullMarked
package dipstick.server.deliveries;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
