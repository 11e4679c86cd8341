/** Sends colleagues their lists by e-mail at a time. */
@ApplicationModule(
        allowedDependencies = {
            "accounts",
            "audit",
            "criteria",
            "exchange",
            "outreach",
            "people",
            "practice",
            "prompts",
            "records",
            "sharing",
            "web"
        })
@NullMarked
package dipstick.server.sending;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
