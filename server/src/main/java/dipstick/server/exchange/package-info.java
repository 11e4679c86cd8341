/** What goes out: files, letters, e-mail and calendars, in open formats. */
@ApplicationModule(
        allowedDependencies = {
            "accounts",
            "audit",
            "criteria",
            "outreach",
            "outreach :: day",
            "outreach :: desk",
            "outreach :: work",
            "paper",
            "people",
            "personal",
            "practice",
            "readings",
            "records",
            "sharing",
            "web"
        })
@NullMarked
package dipstick.server.exchange;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
