/** Templates of criteria sets: a small library, and those that somebody opens from a file. */
@ApplicationModule(allowedDependencies = {"records", "web"})
@NullMarked
package dipstick.server.templates;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
