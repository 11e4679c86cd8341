/** Any two readings of a list, or any two lists, beside each other. */
@ApplicationModule(
        allowedDependencies = {
            "accounts",
            "audit",
            "criteria",
            "outreach :: excused",
            "people",
            "readings",
            "records",
            "sharing",
            "web"
        })
@NullMarked
package dipstick.server.comparing;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
