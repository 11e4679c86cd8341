/** Criteria that are typed: read with suggestions from the records, and whole sets as text. */
@ApplicationModule(allowedDependencies = {"criteria", "practice", "records", "web"})
@NullMarked
package dipstick.server.typed;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
