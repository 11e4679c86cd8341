/** One person: everything known, and why each criterion answers as it does. */
@ApplicationModule(allowedDependencies = {"accounts", "audit", "records", "web"})
@NullMarked
package dipstick.server.people;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
