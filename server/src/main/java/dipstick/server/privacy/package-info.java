/** What a person may ask of the practice: all that is held of them, and that it is erased; and what goes by itself. */
@ApplicationModule(
        allowedDependencies = {
            "accounts",
            "audit",
            "paper",
            "people",
            "personal",
            "practice",
            "records",
            "sharing",
            "web"
        })
@NullMarked
package dipstick.server.privacy;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
