/** What keeps an installation sound: whether it may start, backups and bringing one back, and its commands. */
@ApplicationModule(allowedDependencies = {"audit", "criteria", "database", "deliveries", "practice", "records", "web"})
@NullMarked
package dipstick.server.upkeep;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
