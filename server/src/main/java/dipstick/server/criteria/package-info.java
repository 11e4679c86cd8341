/** Criteria sets: saved with versions, and worked on at the bench. */
@ApplicationModule(
        allowedDependencies = {
            "accounts",
            "audit",
            "database",
            "people",
            "personal",
            "practice",
            "records",
            "sharing",
            "web"
        })
@NullMarked
package dipstick.server.criteria;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
