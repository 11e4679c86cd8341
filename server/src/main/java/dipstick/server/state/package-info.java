/** The state of the records: what can be trusted of them, which lists it touches, and whom to send it back to. */
@ApplicationModule(
        allowedDependencies = {"accounts", "audit", "criteria", "people", "readings", "records", "sharing", "web"})
@NullMarked
package dipstick.server.state;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
