/** Files that are read while somebody waits for it, and not kept. */
@ApplicationModule(allowedDependencies = {"practice", "web"})
@NullMarked
package dipstick.server.files;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
