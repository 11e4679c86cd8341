/** The rosters that criteria sets share: read from files, replaced, and ended on their day. */
@ApplicationModule(
        allowedDependencies = {"accounts", "audit", "criteria", "files", "personal", "practice", "records", "web"})
@NullMarked
package dipstick.server.rosters;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
