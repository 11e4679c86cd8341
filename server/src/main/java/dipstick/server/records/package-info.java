/** The practice's people and event records: bringing them in, keeping them, and the view that evaluations read. */
@ApplicationModule(allowedDependencies = {"audit", "database", "personal", "practice", "web"})
@NullMarked
package dipstick.server.records;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
