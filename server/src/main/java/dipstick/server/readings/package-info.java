/** Readings: what a list was when it was read, kept for ever, and what changed since the reading before. */
@ApplicationModule(
        allowedDependencies = {
            "accounts",
            "audit",
            "criteria",
            "database",
            "people",
            "personal",
            "practice",
            "records",
            "sharing",
            "web"
        })
@NullMarked
package dipstick.server.readings;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
