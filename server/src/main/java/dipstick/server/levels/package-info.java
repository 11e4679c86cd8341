/** How lists stand over time: coverage, what came of attempts, and how long it takes, by provider and site. */
@ApplicationModule(
        allowedDependencies = {
            "audit",
            "criteria",
            "outreach :: day",
            "outreach :: desk",
            "people",
            "readings",
            "records",
            "sharing",
            "web"
        })
@NullMarked
package dipstick.server.levels;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
