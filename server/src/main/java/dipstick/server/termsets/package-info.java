/** The term sets that criteria sets share: versions of them, who has which, and what changing one changes. */
@ApplicationModule(allowedDependencies = {"accounts", "audit", "criteria", "practice", "web"})
@NullMarked
package dipstick.server.termsets;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
