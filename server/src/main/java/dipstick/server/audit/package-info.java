/** The audit log: who read or exported what, appended only. */
@ApplicationModule(allowedDependencies = {"personal", "practice", "web"})
@NullMarked
package dipstick.server.audit;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
