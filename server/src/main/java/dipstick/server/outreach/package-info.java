/** The living lists: who is to be reached, what colleagues did about each, and what comes next. */
@ApplicationModule(
        allowedDependencies = {
            "accounts",
            "audit",
            "criteria",
            "database",
            "people",
            "personal",
            "practice",
            "readings",
            "records",
            "sharing",
            "together",
            "web"
        })
@NullMarked
package dipstick.server.outreach;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
