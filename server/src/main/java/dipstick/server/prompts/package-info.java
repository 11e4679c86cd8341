/** Who is told of those on a list when they are opened, ring, or come in, and what may be said to them. */
@ApplicationModule(
        allowedDependencies = {
            "accounts",
            "audit",
            "criteria",
            "outreach",
            "outreach :: attempts",
            "outreach :: entries",
            "paper",
            "people",
            "personal",
            "practice",
            "records",
            "sharing",
            "together",
            "web"
        })
@NullMarked
package dipstick.server.prompts;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
