/** The list of a saved criteria set: who is to be recalled or reached, and for how long they are overdue. */
@ApplicationModule(
        allowedDependencies = {
            "accounts",
            "audit",
            "criteria",
            "outreach",
            "outreach :: desk",
            "people",
            "practice",
            "readings",
            "records",
            "sharing",
            "web"
        })
@NullMarked
package dipstick.server.lists;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
