/** What every feature has to know of the database. */
@ApplicationModule(allowedDependencies = {})
@NullMarked
package dipstick.server.database;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
