/** Any two files, rosters or lists laid side by side, and what is laid so again and again. */
@ApplicationModule(
        allowedDependencies = {"accounts", "audit", "criteria", "files", "practice", "rosters", "sharing", "web"})
@NullMarked
package dipstick.server.sidebyside;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
